// Whether the server can be reached. A page that is open at the bay is never left for one that would not come.
import { device } from './device.js';

const PATIENCE_MS = 4000;

export class Connection {
  // probe: an address that answers with JSON; lost() says that there is no connection
  constructor({ probe, lost }) {
    this.probe = probe;
    this.lost = lost;
    this.gone = false;
    this.listeners = new AbortController();
  }

  failed() { this.gone = true; }
  worked() { this.gone = false; }

  // the answer of the server; null where there is none
  async ask() {
    try {
      const response = await fetch(this.probe, { headers: { 'X-Galdrin-Device': device() }, signal: AbortSignal.timeout(PATIENCE_MS) });
      this.worked();
      return response.ok ? await response.json() : {};
    } catch { this.failed(); return null; }
  }

  // links, forms and the keys that load the page again ask first; pulling down loads nothing (the style sheet), and for the button of the
  // browser the browser asks
  guard() {
    const signal = this.listeners.signal;
    document.addEventListener('click', event => this.clicked(event), { signal });
    document.addEventListener('keydown', event => this.typed(event), { signal });
    document.addEventListener('submit', event => this.submitted(event), { signal });
    window.addEventListener('beforeunload', event => { if (this.gone || !navigator.onLine) event.preventDefault(); }, { signal });
    window.addEventListener('offline', () => this.failed(), { signal });
  }

  release() { this.listeners.abort(); }

  async clicked(event) {
    const link = event.target.closest('a[href]');
    if (!link || event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey) return;
    if (link.target === '_blank' || link.hasAttribute('download') || link.getAttribute('href').startsWith('#')) return;
    event.preventDefault();
    if (await this.ask()) location.assign(link.href); else this.lost();
  }

  async typed(event) {
    const again = event.key === 'F5' || (event.key?.toLowerCase() === 'r' && (event.ctrlKey || event.metaKey));
    if (!again) return;
    event.preventDefault();
    if (await this.ask()) location.reload(); else this.lost();
  }

  async submitted(event) {
    const form = event.target;
    if (event.defaultPrevented || form.dataset.sure === 'yes' || (form.getAttribute('method') ?? '').toLowerCase() === 'dialog') return;
    event.preventDefault();
    if (await this.ask()) form.submit(); else this.lost();
  }
}
