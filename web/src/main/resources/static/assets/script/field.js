// One line of a sheet in the page: what it holds, what is said beside it, how it looks.

const LONGEST = 60;

// the figure alone: no unit, no zeros at its end
const plain = text => {
  const figure = text.replace(/[\s\u00a0°].*$/, '');
  return figure.includes('.') ? figure.replace(/\.?0+$/, '') : figure;
};

// a size and its sense stand as one text on a line; here alone they are put together and parted
const together = (size, sense) => `${size}, ${sense}`;
const parted = text => { const comma = text.lastIndexOf(', '); return [text.slice(0, comma), text.slice(comma + 2)]; };

export class Field {
  constructor(holder) { this.holder = holder; }

  get line() { return this.holder.dataset.line; }
  get kind() { return this.holder.dataset.kind; }
  get input() { return this.holder.querySelector('[data-field]'); }
  get sense() { return this.holder.querySelector('[data-sense]'); }
  get inputs() { return [...this.holder.querySelectorAll('[data-field]')]; }
  get says() { return this.holder.querySelector('.says'); }

  // what it is called for who hears the page
  get name() { return this.input?.getAttribute('aria-label') || this.input?.labels?.[0]?.textContent.trim() || this.holder.querySelector('legend')?.textContent.trim() || ''; }

  // where the keys of what stands are kept: on the field, or on the fieldset of a choice
  get keeper() { return this.kind === 'choice' ? this.holder : this.input; }
  get saw() { return (this.keeper?.dataset.saw ?? '').split(',').filter(Boolean); }
  set saw(keys) { this.keeper.dataset.saw = keys.join(','); }
  get filled() { return this.saw.length > 0; }

  get standing() { return this.input?.dataset.standing ?? ''; }

  // the text that would be written: of a size with its way beside it both together, of a choice the one that is chosen
  get text() {
    if (this.kind === 'choice') return this.inputs.find(i => i.checked)?.value ?? '';
    if (this.kind === 'tick') return this.input.checked ? 'done' : '';
    const size = this.input.value.trim();
    return this.kind === 'sensed' && size && this.sense.value ? together(size, this.sense.value) : size;
  }

  get tooLong() { return this.text.length > Number(this.input?.dataset.longest ?? LONGEST); }

  get lacksSense() { return this.kind === 'sensed' && this.input.value.trim() !== '' && !this.sense.value; }

  get same() {
    if (this.kind === 'sensed') return this.input.value.trim() === this.standing && this.sense.value === (this.sense.dataset.standing ?? '');
    return this.text === this.standing;
  }

  // a fraction of an inch is wider than a field on a drawing
  fit() {
    this.input?.classList.toggle('long', this.input.value.length > 4);
    this.input?.classList.toggle('full', this.input.value.length > 6);
  }

  // shows a text as if it had just been typed
  show(text) {
    if (this.kind === 'choice') this.inputs.forEach(i => { i.checked = i.value === text; });
    else if (this.kind === 'tick') this.input.checked = text === 'done';
    else if (this.kind === 'sensed' && text.includes(', ')) [this.input.value, this.sense.value] = parted(text);
    else this.input.value = text;
    this.fit();
  }

  // what now stands, or is on its way
  stands(text, key) {
    this.saw = text === '' ? [] : [key];
    if (this.kind === 'sensed') { this.input.dataset.standing = this.input.value.trim(); this.sense.dataset.standing = this.sense.value; }
    else if (this.kind === 'text') this.input.dataset.standing = text;
  }

  empty() {
    this.inputs.forEach(i => { if (i.type === 'radio' || i.type === 'checkbox') i.checked = false; else i.value = ''; });
    if (this.sense) { this.sense.value = ''; this.sense.dataset.standing = ''; }
    if (this.input && this.kind !== 'choice') this.input.dataset.standing = '';
    this.saw = [];
    this.say('', false);
  }

  mark(state, on) { this.holder.classList.toggle(state, on); }

  fault(sentence) {
    this.mark('bad', true);
    this.mark('unsent', false);
    this.inputs.forEach(i => i.setAttribute('aria-invalid', 'true'));
    this.say(sentence, true);
  }

  clear() {
    this.mark('bad', false);
    this.inputs.forEach(i => i.setAttribute('aria-invalid', 'false'));
    if (this.says?.classList.contains('fault')) this.say('', false);
  }

  say(sentence, isFault) {
    if (!this.says) return;
    this.says.textContent = sentence;
    this.says.classList.toggle('fault', isFault);
    // shown beside a field on a drawing only where it was not typed as it was understood
    const differs = !isFault && sentence && this.kind === 'text' && plain(sentence) !== plain(this.standing);
    this.says.classList.toggle('differs', Boolean(differs));
  }
}
