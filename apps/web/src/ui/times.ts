/** "2:05" for 125 seconds; never negative. */
export function clockText(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60];
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

/** Reads "2:05", "125" or "1:00:00" as seconds; null when it is none of these. */
export function secondsFromClock(text: string): number | null {
  if (!/^\d{1,4}(:\d{1,2}){0,2}$/.test(text.trim())) return null;
  return text
    .trim()
    .split(':')
    .reduce((sum, part) => sum * 60 + Number(part), 0);
}
