import { v7 as uuid } from 'uuid';
import { readSetting, writeSetting } from './store';

let ownName = '';

/** This device's name in the log. */
export async function deviceName(): Promise<string> {
  ownName ||= await readSetting('device', '');
  if (!ownName) {
    const kind = /Android|iPhone|Mobile/.test(navigator.userAgent) ? 'phone' : 'computer';
    ownName = `${kind} ${uuid().slice(-4)}`;
    await writeSetting('device', ownName);
  }
  return ownName;
}
