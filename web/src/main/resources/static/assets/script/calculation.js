// Works one line of a pocket calculator, as the core's Calculation does: one table of cases holds both. Here it works without a connection.

const LONGEST = 120;
const DEEPEST = 20;
const rad = degrees => degrees * Math.PI / 180;
const deg = radians => radians * 180 / Math.PI;
const FUNCTIONS = {
  sin: x => Math.sin(rad(x)), cos: x => Math.cos(rad(x)), tan: x => Math.tan(rad(x)),
  asin: x => deg(Math.asin(x)), acos: x => deg(Math.acos(x)), atan: x => deg(Math.atan(x)), sqrt: Math.sqrt,
};
const AS_TYPED = [[/\u00a0/g, ' '], [/\u2212/g, '-'], [/[\u00d7\u00b7]/g, '*'], [/[\u00f7:]/g, '/'], [/[\u2032\u2019]/g, "'"], [/\u221a/g, 'sqrt']];

class Malformed extends Error {}

class Line {
  constructor(text) { this.text = text; this.at = 0; this.depth = 0; }

  sum() {
    this.depth += 1;
    if (this.depth > DEEPEST) throw new Malformed();
    let value = this.product();
    for (let sign = this.next('+-'); sign; sign = this.next('+-')) value += sign === '+' ? this.product() : -this.product();
    this.depth -= 1;
    return value;
  }

  product() {
    let value = this.signed();
    for (let sign = this.next('*/'); sign; sign = this.next('*/')) value = sign === '*' ? value * this.signed() : value / this.signed();
    return value;
  }

  signed() { return this.next('+-') === '-' ? -this.single() : this.single(); }

  single() {
    if (this.next('(')) return this.closed();
    const name = this.take(/^\p{L}+/u);
    if (!name) return this.number();
    if (!Object.hasOwn(FUNCTIONS, name)) throw new Malformed();
    return FUNCTIONS[name](this.next('(') ? this.closed() : this.number());
  }

  closed() {
    const value = this.sum();
    if (!this.next(')')) throw new Malformed();
    return value;
  }

  // a decimal figure, a mixed fraction, or degrees and minutes
  number() {
    const value = this.decimal();
    if (this.next('\u00b0')) return this.digitNext() ? value + this.minutes() : value;
    if (!Number.isInteger(value) || this.text[this.at - 1] !== ' ' || !this.digitNext()) return value;
    const above = this.decimal();
    if (!this.next('/')) throw new Malformed();
    const below = this.decimal();
    if (above >= below) throw new Malformed();
    return value + above / below;
  }

  minutes() {
    const minutes = this.decimal();
    if (!this.next("'") || minutes >= 60) throw new Malformed();
    return minutes / 60;
  }

  decimal() {
    this.space();
    const digits = this.take(/^(\d+([.,]\d+)?|[.,]\d+)/);
    if (!digits || /[.,]/.test(this.text[this.at] ?? '')) throw new Malformed();
    this.space();
    return Number(digits.replace(',', '.'));
  }

  digitNext() { return /\d/.test(this.text[this.at] ?? ''); }
  space() { while (this.text[this.at] === ' ') this.at += 1; }

  take(pattern) {
    const found = pattern.exec(this.text.slice(this.at))?.[0] ?? '';
    this.at += found.length;
    return found;
  }

  next(signs) {
    this.space();
    const sign = this.text[this.at];
    if (sign === undefined || !signs.includes(sign)) return '';
    this.at += 1;
    this.space();
    return sign;
  }
}

// { value } or { fault: 'malformed' | 'noNumber' | 'tooLong' }
export function work(text) {
  if (text.length > LONGEST) return { fault: 'tooLong' };
  const line = new Line(AS_TYPED.reduce((read, [from, to]) => read.replace(from, to), text.trim().toLowerCase()));
  try {
    const value = line.sum();
    if (line.at < line.text.length) return { fault: 'malformed' };
    return Number.isFinite(value) ? { value } : { fault: 'noNumber' };
  } catch (error) {
    if (error instanceof Malformed) return { fault: 'malformed' };
    throw error;
  }
}
