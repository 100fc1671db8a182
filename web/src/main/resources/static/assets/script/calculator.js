// The calculator beside the figures of a step: works lines as they are typed, keeps each that is finished on the tape, puts results into figures.
import { work } from './calculation.js';

const DIGITS = 6;

// what is put into a figure is rounded to the place at which the figure is asked; on the way more is kept
const ROUNDED = {
  deg: value => value.toFixed(2),
  degMin: value => minutes(value),
  mm: value => value.toFixed(1),
  mmHalf: value => (Math.round(2 * value) / 2).toFixed(1),
};

const minutes = value => {
  const all = Math.round(Math.abs(value) * 60);
  return `${value < 0 && all > 0 ? '-' : ''}${Math.floor(all / 60)}°${String(all % 60).padStart(2, '0')}'`;
};

export const shown = value => String(Number(value.toPrecision(DIGITS))).replace('-', '\u2212');

export class Calculator {
  // keep(line, text) takes a finished line; put(line, text) writes into a figure's field
  constructor(holder, { keep, put }) {
    this.holder = holder;
    this.keep = keep;
    this.put = put;
    this.input = holder.querySelector('[data-calculate]');
    this.output = holder.querySelector('[data-calculated]');
    this.last = null;
    holder.hidden = false;
    holder.addEventListener('input', event => { if (event.target === this.input) this.look(); });
    holder.addEventListener('keydown', event => { if (event.key === 'Enter' && event.target === this.input) { event.preventDefault(); event.stopPropagation(); this.finish(); } });
    holder.addEventListener('click', event => this.clicked(event.target.closest('button')));
  }

  clicked(button) {
    if (!button) return;
    if (button.dataset.insert !== undefined) this.insert(button.dataset.insert);
    else if (button.dataset.last !== undefined) { if (this.last !== null) this.insert(shown(this.last)); else this.input.focus(); }
    else if (button.dataset.equals !== undefined) this.finish();
    else if (button.dataset.put !== undefined) this.use();
  }

  insert(text) {
    const { selectionStart: from, selectionEnd: to } = this.input;
    this.input.setRangeText(text, from, to, 'end');
    this.input.focus();
    this.look();
  }

  // while it is typed only a result is shown: half a line is no mistake
  look() {
    const result = work(this.input.value);
    this.say(result.fault ? '' : `= ${shown(result.value)}`, false);
  }

  finish() {
    const text = this.input.value.trim();
    if (!text) return;
    const result = work(text);
    if (result.fault) { this.say(this.output.dataset[result.fault], true); return; }
    this.last = result.value;
    this.say(`= ${shown(result.value)}`, false);
    this.holder.querySelector('[data-use]').hidden = false;
    this.keep(this.holder.dataset.tape, text);
    this.input.select();
  }

  use() {
    const chosen = this.holder.querySelector('[data-into]').selectedOptions[0];
    this.put(chosen.value, (ROUNDED[chosen.dataset.unit] ?? (value => String(Number(value.toFixed(4)))))(this.last));
  }

  // the figure that was last worked on is the one that a result is for
  aim(line) {
    const into = this.holder.querySelector('[data-into]');
    if ([...into.options].some(option => option.value === line)) into.value = line;
  }

  say(sentence, fault) {
    this.output.textContent = sentence;
    this.output.classList.toggle('fault', fault);
    this.input.setAttribute('aria-invalid', String(fault));
  }
}
