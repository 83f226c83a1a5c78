import { Injectable } from '@nestjs/common';
import {
  GYM_FILE_FORMAT,
  GYM_FILE_VERSION,
  GymFile,
  checkFields,
  type ImportReport,
} from '@eurhythm/contract';
import { STARTER_DATES } from '@eurhythm/core/units';
import { refuseField, refuseFields } from '../../http/refuse.ts';
import type { Database } from '../../store/database.ts';
import { InjectDatabase } from '../../store/store.module.ts';
import { TrialsService } from '../../progress/trials.service.ts';
import { readGym } from '../gymFile/readGym.ts';
import { GymFileService } from '../gymFile/gymFile.service.ts';
import { TABLES, type CsvTableName } from './csvTables.ts';
import { csvText, readCsv } from './csvText.ts';
import { timeNotes } from './tableTimes.ts';
import { unusualTrials } from './unusualTrials.ts';

const MOST_TOLD = 50;
/** Table programs take a text without it for one in their own letters. */
const BYTE_ORDER_MARK = '\uFEFF';

/** Fighters, marks and trials as tables. */
@Injectable()
export class CsvService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly files: GymFileService,
    private readonly trials: TrialsService,
  ) {}

  async table(name: CsvTableName): Promise<string> {
    const { columns, lines } = TABLES[name];
    const now = new Date();
    const text = csvText(
      columns.map((column) => column.name),
      lines(await readGym(this.database, now), await this.trials.gymErrors(now)),
    );
    return `${BYTE_ORDER_MARK}${text}`;
  }

  async bringIn(
    name: CsvTableName,
    bytes: Uint8Array,
    { isPreview }: { isPreview: boolean },
  ): Promise<ImportReport> {
    const { columns, file } = TABLES[name];
    const read = readCsv(
      bytes,
      columns.map((column) => column.name),
    );
    if (!read.ok) throw refuseField('file', read.message);
    const now = new Date();
    const gym = await readGym(this.database, now);
    const { dayOrder = STARTER_DATES.dayOrder } = gym.gym?.school ?? {};
    const ways = { dayOrder, hasDecimalComma: read.delimiter === ';' };
    const { part, errors } = file(read.lines, gym, ways);
    if (errors.length > 0) throw refuseFields(errors.slice(0, MOST_TOLD));
    const whole = {
      format: GYM_FILE_FORMAT,
      version: GYM_FILE_VERSION,
      madeAt: now.toISOString(),
      whole: false,
      gym: null,
      ...part,
    } as const;
    const wrong = checkFields(GymFile, whole).map(({ field, message }) => ({
      field: inTable(field),
      message,
    }));
    if (wrong.length > 0) throw refuseFields(wrong.slice(0, MOST_TOLD));
    const report = await this.files.take(whole as GymFile, { isPreview });
    const times = read.lines.map((line) => line['at'] ?? '');
    const unusual = unusualTrials(part.attempts ?? [], gym);
    return { ...report, notes: [...timeNotes(times, ways, now), ...unusual, ...report.notes] };
  }
}

/** "fighters.3.name" as the table has it: "line 5, name". */
function inTable(field: string): string {
  const [, place, ...rest] = field.split('.');
  return place === undefined ? field : `line ${Number(place) + 2}, ${rest.join('.')}`;
}
