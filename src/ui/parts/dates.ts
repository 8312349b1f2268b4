/** Days and moments as they are said, in the time zone of the class that they are said to. */
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;
const MOMENT = { ...DAY, hour: '2-digit', minute: '2-digit' } as const;

const say = (date: Date, how: Intl.DateTimeFormatOptions, timeZone: string) =>
  new Intl.DateTimeFormat('en-GB', { ...how, timeZone }).format(date);

export const sayDay = (date: Date, timeZone: string): string => say(date, DAY, timeZone);
export const sayMoment = (date: Date, timeZone: string): string => say(date, MOMENT, timeZone);
/** A day that is no moment, as 2026-11-30. */
export const sayIsoDay = (day: string): string => say(new Date(`${day}T12:00:00Z`), DAY, 'UTC');
