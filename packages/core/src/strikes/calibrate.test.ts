import { calibrate } from './calibrate.ts';

const strikes = [-20, -22, -18, -21, -20, -19, -24, -20, -21, -20];

describe('a hall', () => {
  it('gives the least strength that counts: under the weakest test strike, over the quiet', () => {
    const learnt = calibrate([-60, -58, -61], strikes);
    expect(learnt).toMatchObject({
      ok: true,
      calibration: { quiet: -60, strike: -20, leastStrength: -30, warning: '' },
    });
  });
  it('that is nearly as loud as the strikes is reported, and one that is louder too', () => {
    const near = calibrate([-28, -27, -28], strikes);
    expect(near.ok && near.calibration.warning).toContain('nearly as loud');
    const loud = calibrate([-15, -16, -15], strikes);
    expect(loud.ok && loud.calibration.warning).toContain('as loud as the strikes');
  });
  it('is not learnt from silence or from too few strikes', () => {
    expect(calibrate([], strikes)).toMatchObject({ ok: false });
    expect(calibrate([-60], [-20, -20])).toMatchObject({
      ok: false,
      message: expect.stringContaining('Only 2 of 10'),
    });
  });
  it('is not taken by one door that bangs', () => {
    const levels = [...Array.from({ length: 400 }, () => -60), -10];
    const learnt = calibrate(levels, strikes);
    expect(learnt.ok && learnt.calibration.leastStrength).toBe(-30);
  });
});
