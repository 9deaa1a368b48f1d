// The browser's first look into its calendars and time zones takes a tenth of a second: it is had while the app's scripts are still on their way.
new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
}).formatToParts(0);
