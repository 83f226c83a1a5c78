/** Requests that are right, for tests to send as they are or spoilt in one place. */
export const round = {
  id: 'r1',
  title: 'Pads',
  kind: 'pads',
  blocks: [
    {
      kind: 'combo',
      id: 'w',
      seconds: 40,
      combos: [{ comboId: 'ebb-1' }],
      bpm: 80,
      calls: 'on-beat',
      words: 'numbers',
      leadPlan: 'halves',
      cyclesEach: 4,
    },
    { kind: 'rest', id: 'p', seconds: 20 },
  ],
};

export const session = { title: 'Short', lead: 'left', plannedFor: null, rounds: [round] };

/** What a report of an import added and changed, list by list. */
export const changes = (report: any): string[] =>
  report.parts.flatMap(({ name, added, changed }: any) =>
    added + changed > 0 ? [`${name} ${added}/${changed}`] : [],
  );
