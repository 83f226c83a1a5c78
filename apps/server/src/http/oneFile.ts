import {
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
  PayloadTooLargeException,
  type Type,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';

/** Reads the one file that comes in this field of a form; a larger one is refused with what is the most. */
export function oneFile(field: string, mostBytes: number): Type<NestInterceptor> {
  return class extends FileInterceptor(field, { limits: { fileSize: mostBytes, files: 1 } }) {
    override intercept(context: ExecutionContext, next: CallHandler) {
      return Promise.resolve(super.intercept(context, next)).catch((error: unknown) => {
        if (!(error instanceof PayloadTooLargeException)) throw error;
        throw new PayloadTooLargeException(`This file is too large: ${mostBytes / 1e6} MB is the most.`);
      });
    }
  };
}
