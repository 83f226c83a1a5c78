import { DynamicModule, Global, Inject, Module } from '@nestjs/common';
import type { Store } from './store.ts';

const DATABASE = Symbol('database');
const STORE = Symbol('store');

/** Injects the database into a service. */
export const InjectDatabase = (): ParameterDecorator => Inject(DATABASE);

/** Injects the store that holds the database. */
export const InjectStore = (): ParameterDecorator => Inject(STORE);

@Global()
@Module({})
export class StoreModule {
  static over(store: Store): DynamicModule {
    return {
      module: StoreModule,
      providers: [
        { provide: DATABASE, useValue: store.database },
        { provide: STORE, useValue: store },
      ],
      exports: [DATABASE, STORE],
    };
  }
}
