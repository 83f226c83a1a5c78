import { execFileSync } from 'node:child_process';
import { readFileSync, readlinkSync } from 'node:fs';
import { hostname } from 'node:os';

/** A process, told apart from another one that has its number later, or has it elsewhere. */
export interface ProcessIdentity {
  readonly pid: number;
  /** When it started, as the system writes it; empty where the system does not say. */
  readonly started: string;
  /** Where numbers of processes mean the same: this machine since it was switched on, or a container on it. */
  readonly place: string;
}

export function ownIdentity(): ProcessIdentity {
  return { pid: process.pid, started: startOf(process.pid), place: ownPlace() };
}

/** Whether a process runs; null where this process cannot know, because the other one is elsewhere. */
export function runs({ pid, started, place }: ProcessIdentity): boolean | null {
  if (place !== ownPlace()) return null;
  try {
    process.kill(pid, 0);
  } catch (error) {
    // Somebody else's process runs too.
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  // Another process may have the number by now.
  return startOf(pid) === started;
}

/** Where the start of a process stands among the fields of its status, counted from behind its name. */
const START_FIELD = 19;

function startOf(pid: number): string {
  try {
    const status = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name stands in brackets and may hold anything.
    return status.slice(status.lastIndexOf(')') + 2).split(' ')[START_FIELD] ?? '';
  } catch {
    return startByCommand(pid);
  }
}

/** On systems that do not show processes as files. */
function startByCommand(pid: number): string {
  try {
    return execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    }).trim();
  } catch {
    return '';
  }
}

function ownPlace(): string {
  const parts = [
    () => readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim(),
    () => readlinkSync('/proc/self/ns/pid'),
  ].map((ask) => {
    try {
      return ask();
    } catch {
      return '';
    }
  });
  return parts.every((part) => part !== '') ? parts.join(' ') : hostname();
}
