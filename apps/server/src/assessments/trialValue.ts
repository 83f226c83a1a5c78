import { sql } from 'drizzle-orm';
import { attempts, tests } from '../store/schema.ts';

/** What is compared between trials: how many of a burst, else how long; null where nothing could be reported. */
export const TRIAL_VALUE = sql<number>`(case when ${tests.kind} = 'burst' then ${attempts.count}::double precision else ${attempts.value} end)`;
