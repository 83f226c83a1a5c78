import { EventEmitter } from 'node:events';
import { Injectable } from '@nestjs/common';
import type { RunEventView } from '@eurhythm/contract';

/** What happened to runs on this server, for those who follow them. */
@Injectable()
export class RunNews {
  private readonly emitter = new EventEmitter<{ event: [runId: string, event: RunEventView] }>();

  /** Something new stands in the log of a run. */
  tell(runId: string, event: RunEventView): void {
    this.emitter.emit('event', runId, event);
  }

  hear(listener: (runId: string, event: RunEventView) => void): void {
    this.emitter.on('event', listener);
  }
}
