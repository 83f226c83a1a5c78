import { Inject } from '@nestjs/common';

/** Token of the folder in which clips are kept. */
export const CLIPS = Symbol('clips');
export const InjectClips = (): ParameterDecorator => Inject(CLIPS);
