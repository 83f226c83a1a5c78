import { Injectable, NotFoundException } from '@nestjs/common';
import type { ExportQuery, GymFile, ImportReport } from '@eurhythm/contract';
import { HeavyWork } from '../../heavy/heavyWork.ts';
import { refuseFields } from '../../http/refuse.ts';
import type { Database } from '../../store/database.ts';
import { InjectDatabase } from '../../store/store.module.ts';
import { AuditService } from '../../backup/audit.service.ts';
import { planImport } from './planImport.ts';
import { readGym } from './readGym.ts';
import { ofFighter, ofGrade, ofLibrary } from './selectFile.ts';
import { writeGym } from './writeGym.ts';

/** Takes a gym away as a file, and brings one in. */
@Injectable()
export class GymFileService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly heavy: HeavyWork,
    private readonly audit: AuditService,
  ) {}

  /** The whole gym, or what belongs to one grade, piece of the library or fighter. */
  async file({ grade, library, fighter }: ExportQuery, now: Date): Promise<GymFile> {
    // One view of everything, whatever is written meanwhile.
    const gym = await this.database.transaction((tx) => readGym(tx, now), {
      isolationLevel: 'repeatable read',
    });
    if (fighter !== undefined) return mustBe(ofFighter(gym, fighter), 'This fighter is not in the gym.');
    if (grade !== undefined) return mustBe(ofGrade(gym, grade), 'This grade does not exist.');
    if (library !== undefined)
      return mustBe(ofLibrary(gym, library), 'This piece is not in the gym’s own library.');
    return gym;
  }

  /** Reads a file and brings it in, all or nothing; a preview only tells what would be done. */
  async bringIn(bytes: Uint8Array, { isPreview }: { isPreview: boolean }): Promise<ImportReport> {
    const read = await this.heavy.run('readFile', bytes);
    if (!read.ok) throw refuseFields(read.errors);
    return this.take(read.file, { isPreview });
  }

  /** The same for a file that is read already. */
  async take(file: GymFile, { isPreview }: { isPreview: boolean }): Promise<ImportReport> {
    return this.database.transaction(async (tx) => {
      const plan = await planImport(await readGym(tx, new Date()), file);
      if (!plan.ok) throw refuseFields(plan.errors);
      if (isPreview) return plan.report;
      await writeGym(tx, plan.write);
      const isChange = plan.report.parts.some(({ added, changed }) => added + changed > 0);
      if (isChange) await this.audit.note('A file was brought in.', tx);
      return { ...plan.report, done: true };
    });
  }
}

function mustBe(file: GymFile | null, message: string): GymFile {
  if (!file) throw new NotFoundException(message);
  return file;
}
