import type { WordDoubt, WordsRead } from '@eurhythm/core/calls';
import { Button, Key } from '../../../ui/buttons/Button.tsx';

interface ReadAsProps {
  readonly text: string;
  readonly read: WordsRead;
  /** Puts the line that was read in place of the words. */
  onTake(line: string): void;
  /** Puts what is meant in place of a word that may mean several things. */
  onMean(text: string): void;
}

/** What was typed in words, as the line that it was read as; what may mean two things is asked. */
export function ReadAs({ text, read, onTake, onMean }: ReadAsProps) {
  const { line, doubts, corrected } = read;
  const meant = ({ from, to }: WordDoubt, choice: string): string =>
    text.slice(0, from) + choice + text.slice(to);
  return (
    <section aria-label="Read as" className="mt-2 border-l-[6px] border-tape bg-paper px-4 py-2">
      {line !== null && (
        <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="text-quiet">Read as</span>
          <code className="font-line text-lg">{line}</code>
          <Button className="border! px-3" onClick={() => onTake(line)}>
            Take it <Key>Enter</Key>
          </Button>
        </p>
      )}
      {corrected.map(({ from, to }) => (
        <p key={from} className="text-sm text-quiet">
          “{from}” was read as {to}.
        </p>
      ))}
      {doubts.map((doubt) => (
        <p key={`${doubt.from} ${doubt.message}`} className="flex flex-wrap items-center gap-x-2 gap-y-1">
          <strong>{doubt.message}</strong>
          {doubt.choices.map((choice) => (
            <Button key={choice} className="border! px-3" onClick={() => onMean(meant(doubt, choice))}>
              {choice}
            </Button>
          ))}
        </p>
      ))}
    </section>
  );
}
