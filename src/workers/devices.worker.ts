import { DeskCommandSchema } from '../core/devices/desk-command';
import { StandIns } from '../core/devices/stand-ins';

/** As the server has it. */
const EVERY_MS = 250;
const EVERY_FAST_MS = 100;

const standIns = new StandIns(Date.now(), Date.now());

const say = (): void => {
  for (const message of standIns.messages(Date.now())) postMessage(message);
  setTimeout(say, standIns.desk().speed > 1 ? EVERY_FAST_MS : EVERY_MS);
};

addEventListener('message', ({ data }) => {
  const command = DeskCommandSchema.safeParse(data);
  if (!command.success) return;
  standIns.command(command.data, Date.now());
  postMessage(standIns.desk());
});
postMessage(standIns.desk());
say();
