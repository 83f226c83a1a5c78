/** Sends what comes in through the port that it is given, in pieces of so many samples at most, all channels as one; null ends it. */
const PIECE = 512;
/** An audio clock goes by so many samples. */
const SILENCE = [new Float32Array(128)];

/** What a worklet has and a page has not. */
declare const registerProcessor: (name: string, processor: unknown) => void;
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}

interface Options {
  readonly processorOptions?: { readonly tellsSilence?: boolean };
}

class Samples extends AudioWorkletProcessor {
  private readonly piece = new Float32Array(PIECE);
  private filled = 0;
  private to: MessagePort | null = null;
  private hasEnded = false;
  /** What is heard where nothing comes in. */
  private readonly otherwise: readonly Float32Array[];

  constructor({ processorOptions = {} }: Options) {
    super();
    this.otherwise = processorOptions.tellsSilence === true ? SILENCE : [];
    this.port.onmessage = ({ data }: MessageEvent<MessagePort | null>) => {
      this.to = data;
      this.hasEnded = data === null;
    };
  }

  process([heard = []]: readonly (readonly Float32Array[])[]): boolean {
    const input = heard.length > 0 ? heard : this.otherwise;
    const length = input[0]?.length ?? 0;
    if (!this.to || length === 0) return !this.hasEnded;
    const { piece, filled } = this;
    for (const channel of input)
      for (let i = 0; i < length; i++) piece[filled + i]! += channel[i]! / input.length;
    this.filled += length;
    if (this.filled + length > PIECE) this.send(this.to);
    return !this.hasEnded;
  }

  private send(to: MessagePort): void {
    const piece = this.piece.slice(0, this.filled);
    to.postMessage(piece, [piece.buffer]);
    this.piece.fill(0);
    this.filled = 0;
  }
}

registerProcessor('samples', Samples);
