import type { SoundEvent } from '@eurhythm/core/rounds';
import { SYNTH_SOUNDS, synthSound } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import { playsHere } from '../../strikeInputs/microphone/referenceSignal.ts';
import { MOST_LATENCY, readOutputSettings, type OutputSettings } from './outputSettings.ts';

/** The WAV file of a clip. @throws with a sentence when it cannot be had */
export type FetchClip = (id: string) => Promise<ArrayBuffer>;

async function fromServer(id: string): Promise<ArrayBuffer> {
  const response = await fetch(`/api/voice/clips/${id}.wav`);
  if (!response.ok) throw new Error('A spoken call could not be loaded. Load the page again.');
  return response.arrayBuffer();
}

/** The sound output of a page: one audio clock, a volume for each kind of sound, and everything that can be played. */
export class AudioOutput {
  readonly context = new AudioContext({ latencyHint: 'playback' });
  private readonly buses: Readonly<Record<SoundEvent['bus'], GainNode>>;
  private readonly buffers = new Map<string, AudioBuffer>();
  private readonly fetchClip: FetchClip;
  private readonly playsNoMore: () => void;
  private settings = readOutputSettings();

  constructor(fetchClip: FetchClip = fromServer) {
    this.fetchClip = fetchClip;
    const bus = (): GainNode => new GainNode(this.context);
    this.buses = { call: bus(), tick: bus(), bell: bus() };
    const out = new GainNode(this.context);
    for (const gain of Object.values(this.buses)) gain.connect(out);
    out.connect(this.context.destination);
    this.playsNoMore = playsHere({ context: this.context, out });
    this.apply(this.settings);
    for (const kind of SYNTH_SOUNDS) {
      const { samples, sampleRate } = synthSound(kind, this.context.sampleRate);
      const buffer = new AudioBuffer({ length: samples.length, sampleRate });
      buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
      this.buffers.set(kind, buffer);
    }
  }

  /** Whether sound comes out. A browser keeps a page silent until somebody touches it. */
  get audible(): boolean {
    return this.context.state === 'running';
  }

  /** Lets it sound, where the browser waits for a press; an output that is closed stays closed. */
  wake(): void {
    if (this.context.state !== 'closed') void this.context.resume();
  }

  /** Fetches and decodes clips that are not here yet; tells the share that is done. @throws when one cannot be had. */
  async load(ids: readonly string[], onShare: (share: number) => void): Promise<void> {
    const missing = [...new Set(ids)].filter((id) => !this.buffers.has(id));
    let done = 0;
    await Promise.all(
      missing.map(async (id) => {
        this.buffers.set(id, await this.context.decodeAudioData(await this.fetchClip(id)));
        done += 1;
        onShare(done / missing.length);
      }),
    );
    onShare(1);
  }

  /** Puts a sound on the audio clock; gives back what takes it off again. A call that could not be had stays away. */
  play(event: SoundEvent, when: Seconds): () => void {
    const buffer = this.buffers.get(event.source.kind === 'clip' ? event.source.id : event.source.sound);
    if (!buffer) return () => {};
    const source = new AudioBufferSourceNode(this.context, { buffer });
    const gain = new GainNode(this.context, { gain: event.gain });
    source.connect(gain).connect(this.buses[event.bus]);
    source.start(when);
    return () => {
      source.stop();
      gain.disconnect();
    };
  }

  /** Takes other volumes and another latency at once. */
  apply(settings: OutputSettings): void {
    this.settings = settings;
    for (const [bus, gain] of Object.entries(this.buses))
      gain.gain.value = settings.volumes[bus as SoundEvent['bus']];
  }

  /** From the instant at which a sound is due on the audio clock to the instant at which it is heard. */
  get latency(): Seconds {
    return this.onTheWay + this.settings.latency;
  }

  /** What the browser knows of it: the audio clock goes by the piece, what comes out goes evenly. */
  private get onTheWay(): Seconds {
    const { currentTime, outputLatency, baseLatency } = this.context;
    const { contextTime = 0, performanceTime = 0 } = this.context.getOutputTimestamp();
    const behind = currentTime - contextTime - (performance.now() - performanceTime) / 1000;
    if (contextTime > 0 && behind > 0 && behind < MOST_LATENCY) return behind;
    return outputLatency || baseLatency || 0;
  }

  close(): void {
    this.playsNoMore();
    void this.context.close();
  }
}
