import { isIPv6 } from 'node:net';
import { networkInterfaces } from 'node:os';
import { DynamicModule, Global, Inject, Module, NotFoundException } from '@nestjs/common';
import { isLoopback } from '../http/loopback.ts';
import type { Certificates } from './certificates.ts';

/** How this server is reached. */
export interface Reach {
  readonly host: string;
  readonly port: number;
  /** Of the secure way beside it; null while it is open to this machine alone. */
  readonly securePort: number | null;
  /** Other names of this machine. */
  readonly names: readonly string[];
  /** The certificate of the gym's authority. @throws 404 with a sentence where there is none */
  authority(): string;
}

const REACH = Symbol('reach');
export const InjectReach = (): ParameterDecorator => Inject(REACH);

@Global()
@Module({})
export class ReachModule {
  static at(reach: Reach): DynamicModule {
    return { module: ReachModule, providers: [{ provide: REACH, useValue: reach }], exports: [REACH] };
  }
}

/** The reach of a server, with its certificates where it has some. */
export function reachOf(
  where: Pick<Reach, 'host' | 'port' | 'names'>,
  certificates: Certificates | null,
): Reach {
  return {
    ...where,
    securePort: certificates ? securePortOf(where.port) : null,
    authority: () => {
      if (certificates) return certificates.authority;
      throw new NotFoundException('This server is open to its own machine alone: there is no authority.');
    },
  };
}

/** The secure way stands one port behind the plain one. */
export const securePortOf = (port: number): number => port + 1;

/** Whether a host is this machine as itself alone, which nobody else reaches. */
export function isOwnHost(host: string): boolean {
  return host === 'localhost' || isLoopback(host);
}

/** Where others on the network reach this server; nowhere while it listens on its own machine alone. */
export function addressesOf({ host, port, securePort, names }: Reach): {
  readonly addresses: string[];
  readonly secureAddresses: string[];
} {
  if (isOwnHost(host)) return { addresses: [], secureAddresses: [] };
  const hosts = [...new Set([...names.filter((name) => !name.includes(':')), ...networkHosts(host)])];
  const by = (scheme: string, at: number): string[] =>
    hosts.map((each) => `${scheme}://${isIPv6(each) ? `[${each}]` : each}:${at}`);
  return { addresses: by('http', port), secureAddresses: securePort === null ? [] : by('https', securePort) };
}

/** Addresses of this machine on its networks, the older kind first: they are shorter to type. */
export function networkHosts(host: string): string[] {
  if (host !== '0.0.0.0' && host !== '::') return [host];
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
  const reached = all.filter(({ internal, address }) => !internal && !address.startsWith('fe80'));
  return reached.sort((a, b) => a.family.localeCompare(b.family)).map(({ address }) => address);
}
