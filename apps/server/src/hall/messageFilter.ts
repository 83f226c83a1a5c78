import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Refusal } from '@eurhythm/contract';
import type { Socket } from 'socket.io';
import { loggable } from '../store/open/databaseFaults.ts';

/** What cannot be done with a message is told to who sent it, in a sentence. */
@Catch()
export class MessageFilter implements ExceptionFilter {
  private readonly log = new Logger('Message');

  catch(error: unknown, host: ArgumentsHost): void {
    const socket = host.switchToWs().getClient<Socket>();
    if (error instanceof HttpException) {
      const { message } = error.getResponse() as Refusal;
      socket.emit('refused', { message });
      return;
    }
    this.log.error(loggable(error));
    socket.emit('refused', { message: 'Something went wrong here. Try again.' });
  }
}
