// This device by name, and the token that forms carry.
import { newKey } from './queue.js';

export const device = () => {
  try {
    let name = JSON.parse(localStorage.getItem('galdrin.device'));
    if (!name) localStorage.setItem('galdrin.device', JSON.stringify(name = newKey()));
    return name;
  } catch { return 'private'; }
};
export const token = () => document.querySelector('meta[name="csrf-token"]')?.content ?? '';
