/** Words as a second synthesiser says them (eSpeak NG, from Debian's packages), with the instants of its own phones. */
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** Voices that the vowels are fitted on, and others that they are only tried with. */
export const SECOND_FITTED = [
  'en-us',
  'en-us+f2',
  'en-gb-x-rp',
  'en-gb-x-rp+m3',
  'en-us+f4',
  'en-gb-scotland+m1',
  'en-us-nyc+m7',
  'en-us+m2',
];
export const SECOND_HELD = ['en-us+f3', 'en-gb-scotland+m4', 'en-029'];
const words = (list) => list.split(/[,\n] */);
/** Words and calls that the vowels are fitted on. */
export const WORDS_FITTED =
  words(`hands high,move your head,circle out,change lead,kick body,hand head,joined one count,by parts,fast
slow,breathe,again,relax,balance,distance,timing,power,speed,partner,corner,window,mountain,forest,harbour,lantern,pepper,basket
ladder,bottle,copper,velvet,silver,golden,monday,tuesday,friday,first,second,third,fourth,fifth,begin,finish,open,close,heavy,light
water,stone,wood,iron,cloud,rain,snow,wind,bird,fish,wolf,bear,chair,door,floor,wall,roof,street,town,north,south,east,west,early
later,never,always,maybe,yes,no,please,thanks,come,go,run,walk,jump,stand,sit,look,listen,think,strong,weak,short,large,young,old
new,good,bad,red,black,white,brown,pink,jabs,crossing,hooks,kicks,elbows,knees,slips,blocks,turns,steps,halves,quarters,doubles`);
/** Words that they are only tried with. */
export const WORDS_HELD =
  words(`apple,bridge,candle,dinner,every,flag,garden,hollow,island,jungle,kettle,lemon,market,needle,orange
paper,quick,river,summer,table,under,valley,winter,yellow,zero,chapter,thunder,blue,green,grey,clap,drop,flow,glide,press,sprint
stretch,throw,plan,one,two,three,four,five,six,seven,eight,nine,ten,jab,cross,hook,uppercut,elbow,knee,slip,switch,round kick
push kick,back kick,body,head,step left,half turn,cover,weave`);

const SCRIPT = fileURLToPath(new URL('secondSynthesiser.py', import.meta.url));

/** Whether it is here; it is installed where that is allowed. */
export function hasSecondSynthesiser() {
  const isThere = () =>
    spawnSync('python3', ['-c', "import ctypes; ctypes.CDLL('libespeak-ng.so.1')"]).status === 0;
  if (!isThere() && process.getuid?.() === 0) {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env });
    spawnSync('apt-get', ['install', '-y', '-qq', 'espeak-ng', 'python3'], { stdio: 'ignore', env });
  }
  return isThere();
}

/** Gives `{ text, voice, sound, onset, end }` for each voice and text; times from the start of the sound. */
export function saidBySecond(voices, texts) {
  const { stdout, status, stderr } = spawnSync('python3', [SCRIPT], {
    input: JSON.stringify({ voices, texts }),
    encoding: 'utf8',
    maxBuffer: 2 ** 31,
  });
  if (status !== 0) throw new Error(stderr);
  return stdout
    .trim()
    .split('\n')
    .map((line) => {
      const { pcm, sampleRate, ...said } = JSON.parse(line);
      const bytes = Buffer.from(pcm, 'base64');
      const samples = Float32Array.from(
        { length: bytes.length / 2 },
        (_, i) => bytes.readInt16LE(2 * i) / 32768,
      );
      return { ...said, sound: { sampleRate, samples } };
    });
}
