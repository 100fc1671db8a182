// What was written on this device and the server does not have yet. Knows no page: it is given a place to keep things, a way to send,
// and a clock. Several tabs share one queue and one sender.

const LEASE_MS = 15000;
const RETRY_MS = 5000;

export class Queue {
  // send(entry) resolves to { done, answer } or { refused: sentence } or { later: why }
  // retry() is asked when it is time to try again: it flushes, and says how it went to whoever looks
  constructor({ name, storage, send, locks = null, now = () => Date.now(), changed = () => {}, retry = () => this.flush() }) {
    this.name = name;
    this.storage = storage;
    this.send = send;
    this.locks = locks;
    this.now = now;
    this.changed = changed;
    this.retry = retry;
    this.owner = newKey();
    this.sending = null;
    this.timer = null;
    this.memory = {}; // what a full or forbidden store would not take: kept as long as the page is open
  }

  read(list, otherwise = []) {
    if (this.memory[list] !== undefined) return this.memory[list];
    try { return JSON.parse(this.storage.getItem(`galdrin.${list}.${this.name}`)) ?? otherwise; } catch { return otherwise; }
  }

  write(list, value) {
    try {
      this.storage.setItem(`galdrin.${list}.${this.name}`, JSON.stringify(value));
      delete this.memory[list];
    } catch { this.memory[list] = value; }
  }

  entries() { return this.read('queue').filter(entry => entry.line); }
  aside() { return this.read('aside'); }
  get length() { return this.entries().length; }

  // every entry is kept, in its order on this device, also one that is put right before the network is back
  add(entry) {
    const turn = this.nextTurn();
    const kept = { ...entry, key: entry.key ?? newKey(), deviceSeq: turn, writtenAt: this.now() };
    this.write('queue', [...this.entries(), kept]);
    this.changed();
    return kept;
  }

  nextTurn() {
    let turn = 1;
    try { turn = Number(this.storage.getItem('galdrin.deviceSeq') ?? 0) + 1; this.storage.setItem('galdrin.deviceSeq', String(turn)); } catch { /* private mode: order is that of the queue */ }
    return turn;
  }

  drop(key) { this.write('queue', this.entries().filter(entry => entry.key !== key)); }

  moveAside(entry, sentence) {
    this.write('aside', [...this.aside(), { ...entry, sentence }]);
    this.drop(entry.key);
  }

  clearAside(key) { this.write('aside', this.aside().filter(entry => entry.key !== key)); this.changed(); }

  // resolves when nothing more can be sent now; asked again while sending, it is the same promise
  flush() {
    if (!this.sending) this.sending = this.asOnlySender(() => this.sendAll()).finally(() => { this.sending = null; });
    return this.sending;
  }

  async asOnlySender(work) {
    if (this.locks) return this.locks.request(`galdrin.sender.${this.name}`, { ifAvailable: true }, lock => (lock ? work() : this.later()));
    const lease = this.read('sender', null);
    if (lease && lease.owner !== this.owner && lease.until > this.now()) return this.later();
    this.renew();
    await new Promise(done => setTimeout(done, 0));
    if (this.read('sender', null)?.owner !== this.owner) return this.later(); // another tab was quicker
    try { return await work(); } finally { if (this.read('sender', null)?.owner === this.owner) this.write('sender', null); }
  }

  renew() { this.write('sender', { owner: this.owner, until: this.now() + LEASE_MS }); }

  later() {
    clearTimeout(this.timer);
    if (this.length > 0) this.timer = setTimeout(() => this.retry(), RETRY_MS);
    return { sent: 0, why: null };
  }

  async sendAll() {
    clearTimeout(this.timer);
    let sent = 0;
    for (let entry = this.entries()[0]; entry; entry = this.entries()[0]) {
      if (!this.locks) this.renew();
      const outcome = await this.send(entry);
      if (outcome.later) {
        this.timer = setTimeout(() => this.retry(), RETRY_MS);
        this.changed();
        return { sent, why: outcome.later };
      }
      if (outcome.refused) this.moveAside(entry, outcome.refused);
      else this.drop(entry.key);
      sent += 1;
      this.changed();
    }
    return { sent, why: null };
  }
}

// randomUUID exists in secure contexts only; a workshop's network often has none
export const newKey = () => Array.from(crypto.getRandomValues(new Uint8Array(16)), b => b.toString(16).padStart(2, '0')).join('');
