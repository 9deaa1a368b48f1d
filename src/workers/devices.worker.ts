import { DeskCommandSchema } from '../core/devices/desk-command';
import { StandIns } from '../core/devices/stand-ins';

const standIns = new StandIns(Date.now(), Date.now());

const say = (): void => {
  for (const message of standIns.messages(Date.now())) postMessage(message);
  setTimeout(say, standIns.everyMs);
};

addEventListener('message', ({ data }) => {
  const command = DeskCommandSchema.safeParse(data);
  if (!command.success) return;
  standIns.command(command.data, Date.now());
  postMessage(standIns.desk());
});
postMessage(standIns.desk());
say();
