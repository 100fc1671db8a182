// Small components; pages work without them.
import { bays } from './bays.js';
import { bench } from './bench.js';
import { fromFile } from './file.js';
import { desk, refresh } from './live.js';
import { once } from './once.js';
import { sheet } from './sheet.js';
import { zone } from './zone.js';

once();

// the key for help, where nothing is being typed; a click goes through what guards links without a network
document.addEventListener('keydown', event => {
  if (event.key === '?' && !event.target.closest('input, textarea, select, dialog')) document.getElementById('help')?.click();
});

// there is one only where pages come over TLS, or from this very machine
navigator.serviceWorker?.register('/no-connection-worker.js').catch(() => { /* pages work without it */ });

document.addEventListener('alpine:init', () => {
  Alpine.data('bays', bays);
  Alpine.data('bench', bench);
  Alpine.data('desk', desk);
  Alpine.data('fromFile', fromFile);
  Alpine.data('refresh', refresh);
  Alpine.data('sheet', sheet);
  Alpine.data('zone', zone);
});
