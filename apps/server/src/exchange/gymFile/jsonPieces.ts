import { AT_ONCE, letOthers } from '../../backup/letOthers.ts';

/** An object of lists as JSON, piece by piece, so that a large one is never held as one text. */
export async function* jsonPieces(value: object): AsyncGenerator<string, void> {
  const entries = Object.entries(value).filter(([, part]) => part !== undefined);
  yield '{';
  for (const [i, [key, part]] of entries.entries()) {
    yield `${i === 0 ? '' : ','}${JSON.stringify(key)}:`;
    if (Array.isArray(part)) yield* listPieces(part);
    else yield JSON.stringify(part);
  }
  yield '}\n';
}

async function* listPieces(list: readonly unknown[]): AsyncGenerator<string, void> {
  yield '[';
  for (let i = 0; i < list.length; i += AT_ONCE) {
    const texts = list.slice(i, i + AT_ONCE).map((item) => JSON.stringify(item));
    yield `${i === 0 ? '' : ','}${texts.join(',')}`;
    await letOthers();
  }
  yield ']';
}
