/** "09:30" from 9:30, 930 or 0930; undefined where it is no time of day on the 24-hour clock. */
export function readClock(text: string): string | undefined {
  const found = /^(\d{1,2})(?:[:. ]?(\d{2}))?$/.exec(text.trim());
  const [hours, minutes] = [Number(found?.[1]), Number(found?.[2] ?? 0)];
  return found && hours < 24 && minutes < 60
    ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
    : undefined;
}
