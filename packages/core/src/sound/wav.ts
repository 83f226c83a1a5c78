/** One channel of sound; samples in −1..1. */
export interface Sound {
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

/** Writes a mono 16-bit PCM WAV file. Samples beyond ±1 are clipped. */
export function encodeWav(sound: Sound): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(44 + sound.samples.length * 2);
  const view = new DataView(bytes.buffer);
  const text = (at: number, letters: string): void => {
    for (let i = 0; i < letters.length; i++) view.setUint8(at + i, letters.charCodeAt(i));
  };
  text(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, sound.sampleRate, true);
  view.setUint32(28, sound.sampleRate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, sound.samples.length * 2, true);
  for (let i = 0; i < sound.samples.length; i++) {
    const clipped = Math.max(-1, Math.min(1, sound.samples[i]!));
    view.setInt16(44 + i * 2, Math.round(clipped * 32767), true);
  }
  return bytes;
}

/** Reads a mono 16-bit PCM WAV file; null when the bytes are not one. */
export function decodeWav(bytes: Uint8Array): Sound | null {
  if (bytes.length < 44) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tag = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (tag(0) !== 'RIFF' || tag(8) !== 'WAVE') return null;
  let sampleRate = 0;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    if (tag(at) === 'fmt ') {
      if (view.getUint16(at + 8, true) !== 1 || view.getUint16(at + 10, true) !== 1) return null;
      if (view.getUint16(at + 22, true) !== 16) return null;
      sampleRate = view.getUint32(at + 12, true);
    }
    if (tag(at) === 'data' && sampleRate > 0) {
      const count = Math.min(size, bytes.length - at - 8) >> 1;
      const samples = new Float32Array(count);
      for (let i = 0; i < count; i++) samples[i] = view.getInt16(at + 8 + i * 2, true) / 32767;
      return { sampleRate, samples };
    }
    at += 8 + size + (size % 2);
  }
  return null;
}
