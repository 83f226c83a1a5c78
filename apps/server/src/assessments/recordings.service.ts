import { Injectable, NotFoundException } from '@nestjs/common';
import type { HeardTrial } from '@eurhythm/core/speed';
import { doubtWeak, withoutReference } from '@eurhythm/core/strikes';
import { thousandths } from '@eurhythm/core/units';
import { readWav } from '@eurhythm/core/sound';
import { eq } from 'drizzle-orm';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { recordings } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { AssessmentsService } from './assessments.service.ts';

/** The sound of trials, where somebody said that it may be kept. */
@Injectable()
export class RecordingsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly tests: AssessmentsService,
    private readonly heavy: HeavyWork,
  ) {}

  /** Keeps the sound of a trial, whose first sample was heard at `from`; the same request again changes nothing. */
  async keep(attemptId: string, wav: Buffer, from: number): Promise<void> {
    await this.tests.attempt(attemptId);
    const read = readWav(wav);
    if (!read.ok) throw refuseField('file', read.message);
    const seconds = read.sound.samples.length / read.sound.sampleRate;
    const row = { attemptId, sound: wav, seconds, from };
    await this.database
      .insert(recordings)
      .values(row)
      .onConflictDoUpdate({ target: recordings.attemptId, set: row });
  }

  async of(attemptId: string): Promise<{ readonly sound: Buffer; readonly from: number }> {
    const [row] = await this.database.select().from(recordings).where(eq(recordings.attemptId, attemptId));
    if (!row) throw new NotFoundException('No sound was kept of this trial.');
    return { sound: Buffer.from(row.sound), from: row.from };
  }

  async remove(attemptId: string): Promise<void> {
    await this.database.delete(recordings).where(eq(recordings.attemptId, attemptId));
  }

  /** What is heard of a trial now: of its sound where that was kept, else what was heard of it then. */
  async heardAnew(attemptId: string, heard: HeardTrial): Promise<HeardTrial> {
    const [row] = await this.database.select().from(recordings).where(eq(recordings.attemptId, attemptId));
    if (!row) return heard;
    const found = await this.heavy.run('detectedStrikes', row.sound);
    if (!found.ok) return heard;
    const { leastStrength = -Infinity, own = [] } = heard;
    const onsets = found.found.onsets.map((onset) => ({
      ...onset,
      at: thousandths(onset.at + row.from),
      ...(onset.strength < leastStrength ? { doubtful: true as const } : {}),
    }));
    const { strikes } = withoutReference(onsets, own);
    // What is heard anew is put together anew.
    const { hits: _, ...before } = heard;
    return { ...before, detector: found.found.detector, onsets: doubtWeak(strikes, 'microphone') };
  }
}
