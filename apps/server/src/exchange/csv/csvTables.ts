import { attempts } from './attemptsTable.ts';
import type { CsvTable } from './csvTable.ts';
import { fighters } from './fightersTable.ts';
import { results } from './resultsTable.ts';

/** The tables that are taken away and brought in. */
export const CSV_TABLES = ['fighters', 'results', 'attempts'] as const;
export type CsvTableName = (typeof CSV_TABLES)[number];

export const TABLES: Readonly<Record<CsvTableName, CsvTable>> = { fighters, results, attempts };
