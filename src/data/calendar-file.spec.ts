import ICAL from 'ical.js';
import { writeCalendarFile, type CalendarEvent } from './calendar-file';
import { dueSeconds } from '../core/record/due';

const ZONES = [
  'Europe/Berlin',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'America/St_Johns',
  'Pacific/Auckland',
  'Africa/Casablanca',
  'Asia/Tokyo',
  'America/Sao_Paulo',
  'Pacific/Chatham',
  'Europe/London',
  'UTC',
];
const NOW = new Date('2026-10-12T08:00:00Z');
const read = (text: string): ICAL.Component[] => new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');

describe('a calendar file', () => {
  // Reference: ical.js, another reading of RFC 5545.
  it('is read back to the same instants, for 500 stays in twelve zones, across changes of clocks', () => {
    const events = Array.from({ length: 500 }, (_, i): CalendarEvent => {
      const zone = ZONES[i % ZONES.length];
      // Days all through the year, and hours all through the night.
      const day = new Date(Date.UTC(2026, 0, 1 + ((i * 37) % 365))).toISOString().slice(0, 10);
      const from = dueSeconds({
        local: `${day}T${String((i * 5) % 24).padStart(2, '0')}:${i % 2 ? '30' : '05'}`,
        zone,
      });
      return {
        id: `stay-${i}`,
        title: 'Supper',
        text: '',
        from,
        to: from + 60 * (30 + (i % 400)),
        calls: [{ atS: from + 600, text: 'Coat' }],
      };
    });
    const back = read(writeCalendarFile('All', events, NOW)).map((component) => {
      const event = new ICAL.Event(component);
      const [alarm] = component.getAllSubcomponents('valarm');
      const trigger = alarm.getFirstPropertyValue('trigger') as ICAL.Time | ICAL.Duration;
      return {
        id: event.uid,
        from: event.startDate.toUnixTime(),
        to: event.endDate.toUnixTime(),
        call:
          trigger instanceof ICAL.Duration
            ? event.startDate.toUnixTime() + trigger.toSeconds()
            : (trigger as ICAL.Time).toUnixTime(),
      };
    });
    expect(back).toEqual(
      events.map(({ id, from, to, calls }) => ({ id: `${id}@kilnstone`, from, to, call: calls[0].atS })),
    );
  });

  it('folds long lines, escapes what has a meaning, and ends its lines as the standard says', () => {
    const title =
      'Bombs; hearts, “bows” \\ and a very long name that goes on well beyond seventy-five bytes ä ö ü ß 🫖 to the end';
    const text = '17:05 Melt 734 g of Linen: A, B; C\n17:20 Coat 1';
    const event = { id: 'one', title, text, from: 1_792_000_000, to: 1_792_003_600, calls: [] };
    const file = writeCalendarFile('Names, with; signs', [event], NOW);
    expect(file.split('\r\n').length).toBeGreaterThan(10);
    expect(file.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const [back] = read(file).map((component) => new ICAL.Event(component));
    expect(back.summary).toBe(title);
    expect(back.description).toBe(text);
  });
});
