import { Injectable, NotFoundException } from '@nestjs/common';
import type { SaveThemeDto, ThemeView } from '@eurhythm/contract';
import { asc, eq } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { themes } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';

/** What the classes of a week or a month are about. */
@Injectable()
export class ThemesService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  list(): Promise<ThemeView[]> {
    return this.database.select().from(themes).orderBy(asc(themes.from), asc(themes.title));
  }

  /** The themes of a day, written like 2026-03-05; the shortest first, since it says most about that day. */
  async of(day: string): Promise<ThemeView[]> {
    const length = ({ from, until }: ThemeView): number => Date.parse(until) - Date.parse(from);
    return (await this.list())
      .filter(({ from, until }) => from <= day && day <= until)
      .sort((a, b) => length(a) - length(b));
  }

  /** Makes or changes a theme; the same request again changes nothing. */
  save(id: string, { title, from, until }: SaveThemeDto, basedOn?: number): Promise<ThemeView> {
    return saveVersioned(this.database, themes, {
      key: 'id',
      id,
      row: { title, from, until },
      contentOf: (kept) => ({ title: kept.title, from: kept.from, until: kept.until }),
      basedOn,
      now: () => this.one(id),
    });
  }

  private async one(id: string): Promise<ThemeView> {
    const [row] = await this.database.select().from(themes).where(eq(themes.id, id));
    if (!row) throw new NotFoundException('This theme does not exist.');
    return row;
  }

  async remove(id: string): Promise<void> {
    await this.database.delete(themes).where(eq(themes.id, id));
  }
}
