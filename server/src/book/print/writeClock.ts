/** Seconds as a clock counts: 0:48, 12:05. */
export function writeClock(seconds: number): string {
  const whole = Math.round(seconds)
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
