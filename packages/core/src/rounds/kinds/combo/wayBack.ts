import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { stepBack } from '../../../teach/index.ts';
import type { Seconds } from '../../../units/index.ts';
import type { LayOutContext } from '../../layOutContext.ts';
import type { BlockCombo, ComboBlock } from './comboBlock.ts';

/** The way back of the combos of a block; what cannot step back is reported once. */
export class WayBack {
  private readonly block: ComboBlock;
  private readonly from: Seconds;
  private readonly context: Pick<LayOutContext, 'book' | 'layout'>;
  private readonly known = new Map<string, BlockCombo>();

  constructor(block: ComboBlock, from: Seconds, context: Pick<LayOutContext, 'book' | 'layout'>) {
    this.block = block;
    this.from = from;
    this.context = context;
  }

  of(combo: BlockCombo): BlockCombo {
    let back = this.known.get(combo.line);
    if (!back) this.known.set(combo.line, (back = this.turned(combo)));
    return back;
  }

  private turned(combo: BlockCombo): BlockCombo {
    const { book, layout } = this.context;
    const parsed = parseLine(combo.line, book);
    if (!parsed.ok) return combo;
    const { line, kept } = stepBack(parsed.line, book);
    const name = combo.grade === '' ? `“${combo.title}”` : `${combo.grade} ${combo.number}`;
    const tell = (message: string): void =>
      void layout.findings.push({
        rule: 'no-way-back',
        severity: 'note',
        at: this.from,
        block: this.block.id,
        message,
      });
    if (kept.length > 0)
      tell(`${name} steps back all but ${kept.join(', ')}: the book has no such step back.`);
    const back = parseLine(line, book);
    const isHome =
      back.ok && isOpposite(walkStance(parsed.line, book, 'left'), walkStance(back.line, book, 'left'));
    if (kept.length === 0 && !isHome)
      tell(`${name} does not come home by stepping back: it turns on its way.`);
    return { ...combo, line };
  }
}

const isOpposite = (there: ReturnType<typeof walkStance>, back: ReturnType<typeof walkStance>): boolean =>
  Math.abs(there.end.place.forward + back.end.place.forward) < 0.01 &&
  Math.abs(there.end.place.right + back.end.place.right) < 0.01;
