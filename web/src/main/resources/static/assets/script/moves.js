// Strokes of a drawing that follow the hand: what each follows, about which point and how far, comes with the drawing.
const number = text => Number(text);

const read = spec => {
  const [id, x, y, shiftX, shiftY, drawn, most, option, ...terms] = spec.split(' ');
  return {
    id, option, x: number(x), y: number(y), shiftX: number(shiftX), shiftY: number(shiftY), drawn: number(drawn), most: number(most),
    terms: terms.map(term => { const [place, each, plumb] = term.split(':'); return { place, each: number(each), plumb: number(plumb) }; }),
  };
};

const within = (value, most) => Math.max(-most, Math.min(most, value));

// what a gauge that shows so much at plumb leans by
const leans = (value, plumb) => (plumb === 0 ? value : Math.sign(value) * (plumb - Math.abs(value)));

export const transformOf = (follow, values) => {
  if (!follow.terms.every(term => term.place in values)) return null;
  const amount = follow.terms.reduce((sum, term) => sum + term.each * leans(values[term.place], term.plumb), 0);
  if (follow.shiftX !== 0 || follow.shiftY !== 0) {
    const by = within(amount - follow.drawn, follow.most);
    return `translate(${(follow.shiftX * by).toFixed(2)} ${(follow.shiftY * by).toFixed(2)})`;
  }
  return `rotate(${(within(amount, follow.most) - follow.drawn).toFixed(2)} ${follow.x} ${follow.y})`;
};

const isChosen = (measure, option) => {
  const dash = option.lastIndexOf('-');
  return option === '-' || measure.querySelector(`input[name*="/${option.slice(0, dash)}/"][value="${option.slice(dash + 1)}"]:checked`);
};

export const move = measure => {
  if (measure?.dataset.followsHand !== 'true') return;
  const values = {};
  for (const at of measure.querySelectorAll('.at[data-place]')) {
    const shown = at.dataset.repeat === '0' || at.dataset.repeat === measure.dataset.shown;
    if (shown && at.dataset.value) values[at.dataset.place] = Number(at.dataset.value);
  }
  for (const drawing of measure.querySelectorAll('svg[data-moves]')) {
    drawing.querySelectorAll('[data-moved-by]').forEach(path => path.removeAttribute('transform'));
    for (const follow of drawing.dataset.moves.split('|').map(read)) {
      const transform = isChosen(measure, follow.option) ? transformOf(follow, values) : null;
      if (transform) drawing.querySelectorAll(`[data-moved-by="${CSS.escape(follow.id)}"]`).forEach(path => path.setAttribute('transform', transform));
    }
  }
};
