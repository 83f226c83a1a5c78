import { QueryClient, queryOptions } from '@tanstack/react-query';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import type {
  BackupList,
  BeginningView,
  BookView,
  ClassProgress,
  ComboVersion,
  ComboView,
  DoorView,
  DraftSessionDto,
  FighterLog,
  RegisterQuery,
  RegisterView,
  ReportQuery,
  ReportView,
  AttendedWeekView,
  FighterPaceView,
  LifetimeView,
  FighterProgress,
  FighterView,
  FitView,
  GradeCheckView,
  GradingDayView,
  GymView,
  KeepingView,
  LibraryItem,
  MemoryList,
  QuestionView,
  RequirementsView,
  RunPlanView,
  RunView,
  SessionSummary,
  SeasonView,
  SessionDraftView,
  SessionView,
  SheetView,
  SoundCheckView,
  TechniqueLists,
  TempoView,
  TestView,
  ThemeView,
  TodayView,
  UsesView,
  VolumeView,
  VoiceView,
} from '@eurhythm/contract';
import { Refused, get, send } from './api.ts';

/** Server state of the pages. A refusal is final; only a server that does not answer is asked again. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      // Whether there is a network says nothing: the server may be this machine, or what it said last is kept in the browser.
      networkMode: 'always',
      staleTime: 5_000,
      retry: (times, error) => times < 2 && error instanceof Refused && error.status === 0,
    },
  },
});

/** Everything of a list that comes in pages, one page after the other. */
async function allPages<T>(path: string): Promise<readonly T[]> {
  const all: T[] = [];
  for (let next: string | null | undefined = ''; next !== null && next !== undefined;) {
    const page: { items: T[]; next?: string | null } = await get(
      next === '' ? path : `${path}?after=${encodeURIComponent(next)}`,
    );
    all.push(...page.items);
    next = page.next;
  }
  return all;
}

const items = async <T>(path: string): Promise<readonly T[]> => (await get<{ items: T[] }>(path)).items;

const queryOf = (fields: Readonly<Record<string, string | undefined>>): string => {
  const filled = Object.entries(fields).flatMap(([name, value]) =>
    value === undefined ? [] : [[name, value]],
  );
  return filled.length === 0 ? '' : `?${new URLSearchParams(filled).toString()}`;
};

/** Nobody in particular is everybody. */
const whoOf = (ids: readonly string[]): { who?: string } => (ids.length === 0 ? {} : { who: ids.join(',') });

const bookOf = ({ items, numbers, sides }: BookView): MoveBook => moveBook(items, numbers, sides);

export const queries = {
  /** Who asks, and how others reach the gym. */
  door: () => queryOptions({ queryKey: ['door'], queryFn: () => get<DoorView>('door') }),
  moves: () =>
    queryOptions({ queryKey: ['moves'], queryFn: () => get<BookView>('moves'), staleTime: 60_000 }),
  techniques: () =>
    queryOptions({ queryKey: ['techniques'], queryFn: () => get<TechniqueLists>('techniques') }),
  voice: () => queryOptions({ queryKey: ['voice'], queryFn: () => get<VoiceView>('voice') }),
  /** What is mistaken for what; asked again until everything was listened to. */
  misheard: () =>
    queryOptions({
      queryKey: ['voice', 'check'],
      queryFn: () => get<SoundCheckView>('voice/check'),
      refetchInterval: ({ state: { data } }) => (data && !data.isDone ? 1000 : false),
    }),
  gym: () => queryOptions({ queryKey: ['gym'], queryFn: () => get<GymView>('gym'), staleTime: 60_000 }),
  today: () => queryOptions({ queryKey: ['today'], queryFn: () => get<TodayView>('today') }),
  book: () =>
    queryOptions({
      queryKey: ['moves'],
      queryFn: () => get<BookView>('moves'),
      select: bookOf,
      staleTime: 60_000,
    }),
  combos: () =>
    queryOptions({ queryKey: ['combos'], queryFn: () => items<ComboView>('combos?retired=with') }),
  /** Where a thing is used, by its address. */
  uses: (address: string) =>
    queryOptions({
      queryKey: [...address.split('/'), 'uses'],
      queryFn: () => get<UsesView>(`${address}/uses`),
    }),
  comboVersions: (id: string) =>
    queryOptions({
      queryKey: ['combos', id, 'versions'],
      queryFn: () => items<ComboVersion>(`combos/${id}/versions`),
    }),
  sessions: () =>
    queryOptions({ queryKey: ['sessions'], queryFn: () => allPages<SessionSummary>('sessions') }),
  session: (id: string) =>
    queryOptions({ queryKey: ['sessions', id], queryFn: () => get<SessionView>(`sessions/${id}`) }),
  sheet: (id: string) =>
    queryOptions({
      queryKey: ['sessions', id, 'sheet'],
      queryFn: () => get<SheetView>(`sessions/${id}/sheet`),
    }),
  library: () => queryOptions({ queryKey: ['library'], queryFn: () => items<LibraryItem>('library') }),
  themes: () => queryOptions({ queryKey: ['themes'], queryFn: () => items<ThemeView>('themes') }),
  seasons: () => queryOptions({ queryKey: ['seasons'], queryFn: () => items<SeasonView>('seasons') }),
  gradingDays: () =>
    queryOptions({ queryKey: ['grading-days'], queryFn: () => items<GradingDayView>('grading-days') }),
  /** A session for those who come; nothing is kept. */
  draft: (wish: DraftSessionDto) =>
    queryOptions({
      queryKey: ['sessions', 'draft', wish],
      queryFn: () => send<SessionDraftView>('POST', 'sessions/draft', wish),
      retry: false,
    }),
  fighters: () => queryOptions({ queryKey: ['fighters'], queryFn: () => allPages<FighterView>('fighters') }),
  fit: (id: string) =>
    queryOptions({ queryKey: ['fighters', id, 'fit'], queryFn: () => get<FitView>(`fighters/${id}/fit`) }),
  fighterLog: (id: string) =>
    queryOptions({ queryKey: ['fighters', id, 'log'], queryFn: () => get<FighterLog>(`fighters/${id}/log`) }),
  /** The rounds behind one of them, to the first. */
  olderRounds: (id: string, after: string | null) =>
    queryOptions({
      queryKey: ['fighters', id, 'log', 'older', after],
      queryFn: async () => {
        const rounds: FighterLog['rounds'][number][] = [];
        for (let next = after; next !== null;) {
          const page: FighterLog = await get(`fighters/${id}/log${queryOf({ after: next, limit: '200' })}`);
          rounds.push(...page.rounds);
          ({ next } = page);
        }
        return rounds;
      },
    }),
  /** What a log says of one fighter; two dates are held against each other where they are given. */
  fighterProgress: (id: string, between: { from: string; to: string } | null = null) =>
    queryOptions({
      queryKey: ['fighters', id, 'progress', between],
      queryFn: () => get<FighterProgress>(`fighters/${id}/progress${queryOf(between ?? {})}`),
    }),
  register: (asked: RegisterQuery) =>
    queryOptions({
      queryKey: ['fighters', 'register', asked],
      queryFn: () => get<RegisterView>(`progress/register${queryOf({ ...asked })}`),
    }),
  reports: (asked: ReportQuery) =>
    queryOptions({
      queryKey: ['fighters', 'reports', asked],
      queryFn: () => items<ReportView>(`progress/reports${queryOf({ ...asked })}`),
    }),
  volume: (id: string) =>
    queryOptions({
      queryKey: ['fighters', id, 'volume'],
      queryFn: () => get<VolumeView>(`fighters/${id}/volume`),
    }),
  lifetime: (id: string) =>
    queryOptions({
      queryKey: ['fighters', id, 'lifetime'],
      queryFn: () => get<LifetimeView>(`fighters/${id}/lifetime`),
    }),
  classProgress: (asked: { gradeId?: string; testId?: string }) =>
    queryOptions({
      queryKey: ['progress', 'class', asked],
      queryFn: () => get<ClassProgress>(`progress/class${queryOf(asked)}`),
    }),
  /** How many came, week by week. */
  attended: (gradeId?: string) =>
    queryOptions({
      queryKey: ['progress', 'attended', gradeId ?? null],
      queryFn: () => items<AttendedWeekView>(`progress/attended${queryOf(gradeId ? { gradeId } : {})}`),
    }),
  questions: () =>
    queryOptions({
      queryKey: ['progress', 'questions'],
      queryFn: () => items<QuestionView>('progress/questions'),
    }),
  checks: (who: readonly string[]) =>
    queryOptions({
      queryKey: ['progress', 'checks', who],
      queryFn: () => items<GradeCheckView>(`progress/checks${queryOf(whoOf(who))}`),
    }),
  memory: (who: readonly string[]) =>
    queryOptions({
      queryKey: ['progress', 'memory', who],
      queryFn: () => get<MemoryList>(`progress/memory${queryOf(whoOf(who))}`),
    }),
  /** Of the combos that were marked, or of these, marked or not. */
  tempos: (who: readonly string[], combos?: readonly string[]) =>
    queryOptions({
      queryKey: ['progress', 'tempos', who, combos],
      queryFn: () =>
        items<TempoView>(
          `progress/tempos${queryOf({ ...whoOf(who), ...(combos ? { combos: combos.join(',') } : {}) })}`,
        ),
    }),
  /** Of those whose pace was measured. */
  paces: () =>
    queryOptions({
      queryKey: ['progress', 'paces'],
      queryFn: () => items<FighterPaceView>('progress/paces'),
    }),
  requirements: () =>
    queryOptions({
      queryKey: ['grades', 'requirements'],
      queryFn: () => items<RequirementsView>('grades/requirements'),
    }),
  keeping: () => queryOptions({ queryKey: ['keeping'], queryFn: () => get<KeepingView>('keeping') }),
  backups: () => queryOptions({ queryKey: ['backups'], queryFn: () => get<BackupList>('backups') }),
  tests: () => queryOptions({ queryKey: ['tests'], queryFn: () => items<TestView>('tests') }),
  runPlan: (id: string) =>
    queryOptions({
      queryKey: ['runs', id, 'plan'],
      queryFn: () => get<RunPlanView>(`runs/${id}/plan`),
      staleTime: Infinity,
    }),
  /** A session's run as it would begin now, for the time without the server. */
  beginning: (sessionId: string) =>
    queryOptions({
      queryKey: ['sessions', sessionId, 'beginning'],
      queryFn: () => get<BeginningView>(`sessions/${sessionId}/beginning`),
    }),
  run: (id: string) =>
    queryOptions({ queryKey: ['runs', id], queryFn: () => get<RunView>(`runs/${id}`), staleTime: Infinity }),
};
