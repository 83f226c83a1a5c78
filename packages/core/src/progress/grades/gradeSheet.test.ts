import { openInSheet, type SheetLine } from './gradeSheet.ts';

const line = (asked: string, first: SheetLine['first'], second: SheetLine['second'] = null): SheetLine => ({
  ...{ asked, first, second },
});

describe('a sheet that is to be signed', () => {
  it('has nothing open where every line was passed by somebody, the log shows all, and two examined', () => {
    const lines = [line('Bows', 'passed'), line('Stance', null, 'passed')];
    expect(openInSheet({ lines, secondExaminer: 'Ben' }, [])).toEqual([]);
  });
  it('says what is open, each kind in a sentence', () => {
    const lines = [line('Bows', 'passed', 'not yet'), line('Stance', null)];
    expect(openInSheet({ lines, secondExaminer: ' ' }, ['10 rounds finished in 8 weeks'])).toEqual([
      'Marked as not yet: Bows.',
      'Not marked by anybody: Stance.',
      'Not shown by the log: 10 rounds finished in 8 weeks.',
      'There is no second examiner.',
    ]);
  });
  it('names three, and counts the others', () => {
    const lines = ['a', 'b', 'c', 'd', 'e'].map((asked) => line(asked, null));
    expect(openInSheet({ lines, secondExaminer: 'Ben' }, [])).toEqual([
      'Not marked by anybody: a; b; c; and 2 more.',
    ]);
  });
});
