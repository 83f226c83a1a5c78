/** Tells the 20 files of tests that took longest: for Jest and for Playwright, whose reporters call it by different names. */
const MOST = 20;

function print(what, seconds) {
  const slowest = [...seconds].sort(([, a], [, b]) => b - a).slice(0, MOST);
  console.log(`\nThe slowest ${what}, in seconds:`);
  for (const [file, took] of slowest) console.log(`${took.toFixed(1).padStart(8)}  ${file}`);
}

const relative = (file) => file.replace(`${process.cwd()}/`, '');

export default class SlowestFiles {
  seconds = new Map();

  /** Playwright, after each story. */
  onTestEnd(test, result) {
    const file = relative(test.location.file);
    this.seconds.set(file, (this.seconds.get(file) ?? 0) + result.duration / 1000);
  }

  /** Playwright, at the end. */
  onEnd() {
    print('files of stories', this.seconds);
  }

  /** Jest, at the end. */
  onRunComplete(_, { testResults }) {
    const took = testResults.map(({ testFilePath, perfStats }) => [
      relative(testFilePath),
      (perfStats.end - perfStats.start) / 1000,
    ]);
    print('files of tests', took);
  }
}
