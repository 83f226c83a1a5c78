import { DynamicModule, Global, Inject, Module } from '@nestjs/common';
import type { Store } from './openStore.ts';

const DATABASE = Symbol('database');

/** Injects the database into a service. */
export const InjectDatabase = (): ParameterDecorator => Inject(DATABASE);

@Global()
@Module({})
export class StoreModule {
  static over(store: Store): DynamicModule {
    return {
      module: StoreModule,
      providers: [{ provide: DATABASE, useValue: store.database }],
      exports: [DATABASE],
    };
  }
}
