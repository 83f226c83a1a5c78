/** Sends what comes in through the port that it is given, in pieces of so many samples, all channels as one; null ends it. */
const PIECE = 1024;
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
  private piece = new Float32Array(PIECE);
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
    const [first] = input;
    for (let i = 0; this.to && first && i < first.length; i++) {
      let sum = 0;
      for (const channel of input) sum += channel[i]!;
      this.piece[this.filled] = sum / input.length;
      this.filled += 1;
      if (this.filled < PIECE) continue;
      this.to.postMessage(this.piece, [this.piece.buffer]);
      this.piece = new Float32Array(PIECE);
      this.filled = 0;
    }
    return !this.hasEnded;
  }
}

registerProcessor('samples', Samples);
