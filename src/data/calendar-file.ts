import ical, { ICalAlarmType } from 'ical-generator';

/** An event of a calendar file. Moments are s since 1970 UTC. */
export interface CalendarEvent {
  /** Unlike any other's, and the same when it is written again. */
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly from: number;
  readonly to: number;
  readonly calls: readonly { readonly atS: number; readonly text: string }[];
}

/**
 * Events as the text of a calendar file (iCalendar, RFC 5545). Moments are written in UTC, so that they are right in every zone and across any change
 * of clocks; a call is an alarm at its own moment.
 */
export function writeCalendarFile(name: string, events: readonly CalendarEvent[], now: Date): string {
  const calendar = ical({ name, prodId: { company: 'Kilnstone', product: 'Kilnstone', language: 'EN' } });
  const at = (seconds: number): Date => new Date(seconds * 1000);
  for (const { id, title, text, from, to, calls } of events) {
    const event = calendar.createEvent({
      id: `${id}@kilnstone`,
      stamp: now,
      start: at(from),
      end: at(to),
      summary: title,
      description: text,
    });
    for (const call of calls)
      event.createAlarm({ type: ICalAlarmType.display, trigger: at(call.atS), description: call.text });
  }
  return calendar.toString();
}
