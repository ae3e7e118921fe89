const SECONDS_UNDER_MIN = 60

/** Time on a stopwatch for reading: “0:00”, “14 min”, “3 h 20”. */
export function stopwatchText(min: number): string {
  if (min >= SECONDS_UNDER_MIN) return `${Math.floor(min / 60)} h ${String(Math.floor(min % 60)).padStart(2, '0')}`
  return min >= 10
    ? `${Math.ceil(min)} min`
    : `${Math.floor(min)}:${String(Math.floor((min % 1) * 60)).padStart(2, '0')}`
}

/** Time left on a timer for reading: “0:42”, “14 min”, “3 h 20”; “over by 5 min” when it has run out. */
export function timerText(leftMin: number): string {
  const over = leftMin <= 0
  const plain = stopwatchText(Math.abs(leftMin))
  return over ? (leftMin > -0.1 ? 'now' : `over by ${plain}`) : plain
}
