// Parts of a page that follow what happens elsewhere, and keys of the desk.
import { device } from './device.js';

const EVERY_MS = 5000;

export const refresh = () => ({
  init() { this.timer = setInterval(() => this.load(), EVERY_MS); },
  destroy() { clearInterval(this.timer); },
  async load() {
    if (document.hidden || this.$root.contains(document.activeElement)) return;
    try {
      const response = await fetch(this.$root.dataset.refresh, { headers: { 'X-Galdrin-Device': device() } });
      if (response.ok) {
        const part = new DOMParser().parseFromString(await response.text(), 'text/html').body.firstElementChild;
        if (part) this.$root.replaceChildren(...part.children);
      }
    } catch { /* the next round tries again */ }
  },
});

export const desk = () => ({
  key(event) {
    if (event.target.closest('input, textarea, select')) return;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const presses = { s: 'sign', r: 'release', n: 'next-sitting' };
    document.getElementById(presses[event.key])?.click();
  },
});
