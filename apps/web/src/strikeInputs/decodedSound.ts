/** The sound of a file that the browser can read, all channels as one, at a rate of samples a second. @throws where it cannot */
export async function decodedSound(
  bytes: ArrayBuffer,
  rate: number,
): Promise<{ sampleRate: number; samples: Float32Array<ArrayBuffer> }> {
  const decoded = await new OfflineAudioContext(1, 1, rate).decodeAudioData(bytes);
  const samples = new Float32Array(decoded.length);
  for (let channel = 0; channel < decoded.numberOfChannels; channel++) {
    const own = decoded.getChannelData(channel);
    for (let i = 0; i < samples.length; i++) samples[i]! += own[i]! / decoded.numberOfChannels;
  }
  return { sampleRate: decoded.sampleRate, samples };
}
