/** A count word, and the ARPAbet phones with which an English voice says it acceptably. */
export interface SpokenCount {
  readonly text: string;
  readonly phones: string;
}

/** "ichi: iy ch iy" as a word with its phones. */
export function spokenCount(written: string): SpokenCount {
  const [text = '', phones = ''] = written.split(':').map((part) => part.trim());
  return { text, phones };
}

/** How a language makes its numbers out of a few words. */
interface CountRules {
  /** One to nine. */
  readonly ones: readonly string[];
  /** Those of ten to nineteen that are words of their own, by their number. */
  readonly teens?: Readonly<Record<number, string>>;
  /** Ten, twenty, to ninety. */
  readonly tens: readonly string[];
  /** Twenty-one and so on where they are words of their own. */
  readonly twenties?: readonly string[];
  /** One behind a ten, where it is said in another way. */
  readonly lastOne?: string;
  readonly hundred: string;
  /** The hundred with something behind it, where that is another word. */
  readonly hundredAnd?: string;
  /** What stands between tens and ones, and behind the hundred. */
  readonly and: string;
  readonly afterHundred: string;
}

/** So far the rules go. */
export const MOST_RULED = 199;

/**
 * The word for n, from 1 to 199; null beyond.
 *
 * @param n a whole number
 */
export function ruledCount(rules: CountRules, n: number): SpokenCount | null {
  if (!Number.isInteger(n) || n < 1 || n > MOST_RULED) return null;
  if (n === 100) return spokenCount(rules.hundred);
  if (n > 100) return joined(rules.afterHundred, rules.hundredAnd ?? rules.hundred, below(rules, n - 100));
  return below(rules, n);
}

function below(rules: CountRules, n: number): SpokenCount {
  const own = rules.teens?.[n] ?? (n > 20 && n < 30 ? rules.twenties?.[n - 21] : undefined);
  if (own) return spokenCount(own);
  const [ten, one] = [Math.floor(n / 10), n % 10];
  if (ten === 0) return spokenCount(rules.ones[n - 1]!);
  if (one === 0) return spokenCount(rules.tens[ten - 1]!);
  const last = one === 1 && rules.lastOne ? rules.lastOne : rules.ones[one - 1]!;
  return joined(rules.and, rules.tens[ten - 1]!, spokenCount(last));
}

/** Two words with what stands between them, its phones behind a colon where it is said: "treinta", " y : iy", "uno". */
function joined(link: string, first: string, second: SpokenCount): SpokenCount {
  const [a, between] = [spokenCount(first), link.split(':')];
  return {
    text: `${a.text}${between[0]!}${second.text}`,
    phones: [a.phones, between[1]?.trim(), second.phones].filter(Boolean).join(' '),
  };
}

const JAPANESE: CountRules = {
  ones: [
    'ichi: iy ch iy',
    'ni: n iy',
    'san: s aa n',
    'shi: sh iy',
    'go: g ow',
    'roku: r ow k uw',
    'shichi: sh iy ch iy',
    'hachi: hh aa ch iy',
    'kyu: k y uw',
  ],
  tens: [
    'ju: jh uw',
    'niju: n iy jh uw',
    'sanju: s aa n jh uw',
    'yonju: y ow n jh uw',
    'goju: g ow jh uw',
    'rokuju: r ow k uw jh uw',
    'nanaju: n aa n aa jh uw',
    'hachiju: hh aa ch iy jh uw',
    'kyuju: k y uw jh uw',
  ],
  hundred: 'hyaku: hh y aa k uw',
  and: '',
  afterHundred: ' ',
};

const KOREAN: CountRules = {
  ones: [
    'hana: hh aa n aa',
    'dul: d uw l',
    'set: s eh t',
    'net: n eh t',
    'daseot: d aa s ah t',
    'yeoseot: y ah s ah t',
    'ilgop: iy l g ow p',
    'yeodeol: y ah d ah l',
    'ahop: aa hh ow p',
  ],
  tens: [
    'yeol: y ah l',
    'seumul: s uh m uw l',
    'seoreun: s ah r uh n',
    'maheun: m aa hh uh n',
    'swin: sh w iy n',
    'yesun: y ey s uw n',
    'ilheun: iy l hh uh n',
    'yeodeun: y ah d uh n',
    'aheun: aa hh uh n',
  ],
  hundred: 'baek: b eh k',
  and: '-',
  afterHundred: '-',
};

const SPANISH: CountRules = {
  ones: [
    'uno: uw n ow',
    'dos: d ow s',
    'tres: t r ey s',
    'cuatro: k w aa t r ow',
    'cinco: s iy n k ow',
    'seis: s ey s',
    'siete: s y eh t ey',
    'ocho: ow ch ow',
    'nueve: n w eh v ey',
  ],
  teens: {
    11: 'once: ow n s ey',
    12: 'doce: d ow s ey',
    13: 'trece: t r ey s ey',
    14: 'catorce: k aa t ao r s ey',
    15: 'quince: k iy n s ey',
    16: 'dieciséis: d y eh s iy s ey s',
    17: 'diecisiete: d y eh s iy s y eh t ey',
    18: 'dieciocho: d y eh s iy ow ch ow',
    19: 'diecinueve: d y eh s iy n w eh v ey',
  },
  twenties: [
    'veintiuno: v ey n t iy uw n ow',
    'veintidós: v ey n t iy d ow s',
    'veintitrés: v ey n t iy t r ey s',
    'veinticuatro: v ey n t iy k w aa t r ow',
    'veinticinco: v ey n t iy s iy n k ow',
    'veintiséis: v ey n t iy s ey s',
    'veintisiete: v ey n t iy s y eh t ey',
    'veintiocho: v ey n t iy ow ch ow',
    'veintinueve: v ey n t iy n w eh v ey',
  ],
  tens: [
    'diez: d y eh s',
    'veinte: v ey n t ey',
    'treinta: t r ey n t aa',
    'cuarenta: k w aa r eh n t aa',
    'cincuenta: s iy n k w eh n t aa',
    'sesenta: s ey s eh n t aa',
    'setenta: s ey t eh n t aa',
    'ochenta: ow ch eh n t aa',
    'noventa: n ow v eh n t aa',
  ],
  hundred: 'cien: s y eh n',
  hundredAnd: 'ciento: s y eh n t ow',
  and: ' y : iy',
  afterHundred: ' ',
};

const PORTUGUESE: CountRules = {
  ones: [
    'um: uw m',
    'dois: d oy s',
    'três: t r ey s',
    'quatro: k w aa t r uw',
    'cinco: s iy n k uw',
    'seis: s ey s',
    'sete: s eh ch iy',
    'oito: oy t uw',
    'nove: n ao v iy',
  ],
  teens: {
    11: 'onze: ow n z iy',
    12: 'doze: d ow z iy',
    13: 'treze: t r ey z iy',
    14: 'catorze: k aa t ao r z iy',
    15: 'quinze: k iy n z iy',
    16: 'dezesseis: d eh z iy s ey s',
    17: 'dezessete: d eh z iy s eh ch iy',
    18: 'dezoito: d eh z oy t uw',
    19: 'dezenove: d eh z iy n ao v iy',
  },
  tens: [
    'dez: d eh s',
    'vinte: v iy n ch iy',
    'trinta: t r iy n t aa',
    'quarenta: k w aa r eh n t aa',
    'cinquenta: s iy n k w eh n t aa',
    'sessenta: s eh s eh n t aa',
    'setenta: s eh t eh n t aa',
    'oitenta: oy t eh n t aa',
    'noventa: n ow v eh n t aa',
  ],
  hundred: 'cem: s eh m',
  hundredAnd: 'cento: s eh n t uw',
  and: ' e : iy',
  afterHundred: ' e : iy',
};

const THAI: CountRules = {
  ones: [
    'nueng: n uh ng',
    'song: s ao ng',
    'sam: s aa m',
    'si: s iy',
    'ha: hh aa',
    'hok: hh ow k',
    'chet: jh eh t',
    'paet: p eh t',
    'kao: k aa w',
  ],
  tens: [
    'sip: s ih p',
    'yi-sip: y iy s ih p',
    'sam-sip: s aa m s ih p',
    'si-sip: s iy s ih p',
    'ha-sip: hh aa s ih p',
    'hok-sip: hh ow k s ih p',
    'chet-sip: jh eh t s ih p',
    'paet-sip: p eh t s ih p',
    'kao-sip: k aa w s ih p',
  ],
  lastOne: 'et: eh t',
  hundred: 'nueng-roi: n uh ng r oy',
  hundredAnd: 'roi: r oy',
  and: '-',
  afterHundred: '-',
};

/** The numbers of each language by its own rules, after the usual romanisations (stress marks are left out). */
export const COUNT_RULES = {
  japanese: JAPANESE,
  korean: KOREAN,
  spanish: SPANISH,
  portuguese: PORTUGUESE,
  thai: THAI,
} as const satisfies Readonly<Record<string, CountRules>>;
