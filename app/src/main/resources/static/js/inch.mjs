// One inch, or one centimetre, of tape drawn so large that a finger hits its marks. Whoever shows it hears what was tapped, as
// it would be typed, and says what is to be shown.
import { say as words } from './say.mjs';

const SVG = 'http://www.w3.org/2000/svg';
/** A finger in a wet glove: no mark has less room than this. */
const ROOM = 48;
/** So much of a gap on either side belongs to the mark; what is left in the middle is "between two". */
const NEAR = 0.36;

/** So many marks of a tape as they would be typed; what it is divided into, its panel says. */
export function typed(total, { marks, metric, suffix = '' }, side = '') {
  const size = Math.abs(total);
  const sign = total < 0 ? '-' : '';
  if (metric === 'true') return sign + String((size * 10) / marks) + side + suffix;
  const whole = Math.floor(size / marks);
  let [n, d] = [size % marks, Number(marks)];
  while (n && n % 2 === 0) {
    n /= 2;
    d /= 2;
  }
  return sign + (whole || !n ? whole : '') + (n ? (whole ? ' ' : '') + n + '/' + d : '') + side + suffix;
}

/**
 * The tape in a panel.
 *
 * @param wrote is told the text of the mark that was tapped
 * @param before the last reading in nanometres, or NaN
 * @param enter is called by the Enter key
 * @param say is told what went wrong, or nothing
 * @param least the tape begins here, in whole units
 */
export function inch(panel, { wrote, before = () => NaN, enter = () => {}, say = () => {}, least = -Infinity }) {
  const inch = panel.querySelector('.inch');
  const value = panel.querySelector('.tape-value');
  const marks = Number(panel.dataset.marks);
  const unit = Number(panel.dataset.unit);
  const metric = panel.dataset.metric === 'true';
  const suffix = panel.dataset.suffix || '';
  const at = { whole: Number.isFinite(least) ? least : 0, mark: null, side: '' };
  let rows = [];

  /** Below zero, past the mark is further down: what lies right of it on the tape is written with a minus. */
  function written(side) {
    const below = at.mark !== null && at.whole * marks + at.mark < 0;
    return below && side ? (side === '+' ? '-' : '+') : side;
  }

  /** The reading as it would be typed. */
  function text() {
    return at.mark === null ? '' : typed(at.whole * marks + at.mark, panel.dataset, written(at.side));
  }

  const pretty = (typed) => typed.replace('-', '−').replace(/(\d+)\/(\d+)/, '$1⁄$2');
  function show(typed) {
    if (!value) return;
    value.replaceChildren();
    const parts = pretty(typed).match(/^(.*?)(\d+⁄\d+)?([^⁄\d]*)$/);
    value.append(parts ? parts[1] : pretty(typed));
    if (parts?.[2]) {
      const f = document.createElement('span');
      f.className = 'frac';
      f.textContent = parts[2];
      value.append(f);
    }
    if (parts?.[3]) value.append(parts[3]);
    value.classList.toggle('none', typed === '');
    if (typed === '') value.textContent = '–';
  }


  function write() {
    show(text());
    wrote(text());
    draw();
  }

  function choose(mark, side) {
    if ((at.whole + Math.floor(mark / marks)) * marks + (((mark % marks) + marks) % marks) < least * marks) return;
    at.whole += Math.floor(mark / marks);
    at.mark = ((mark % marks) + marks) % marks;
    at.side = side;
    say('');
    write();
  }

  function nudge(by) {
    at.whole = Math.max(least, at.whole + by);
    if (at.mark === null) draw();
    else write();
  }

  /** Shows a length, in nanometres, chosen where it lies on a mark; or no more than its whole unit. */
  function turn(nm, chosen) {
    at.whole = Math.floor(nm / unit);
    at.side = '';
    const total = (nm / unit) * marks - at.whole * marks;
    at.mark = chosen && Math.abs(total - Math.round(total)) < 1e-6 ? Math.round(total) : null;
    say('');
  }

  /** The tape goes to what was typed by keys. */
  function follow(typed) {
    at.mark = null;
    at.side = '';
    const total = suffix ? NaN : onTape(typed.trim());
    if (Number.isInteger(total)) {
      at.whole = Math.floor(total / marks);
      at.mark = total % marks;
    }
    show(typed);
    draw();
  }
  /** What was typed by keys, in marks of this tape; no whole number where it lies on none. */
  function onTape(typed) {
    if (metric) return /^\d{1,4}$/.test(typed) ? (Number(typed) * marks) / 10 : NaN;
    const [, whole, n = 0, d = 1] = typed.match(/^(\d{1,3}(?![/\d]))?(?:(?:^|[ -])(\d+)\/(\d+))?$/) || [];
    return whole === undefined && !n ? NaN : Number(whole || 0) * marks + (Number(n) * marks) / Number(d);
  }

  // ---- drawing
  function make(name, attributes, parent, content) {
    const e = document.createElementNS(SVG, name);
    for (const [key, v] of Object.entries(attributes)) e.setAttribute(key, v);
    if (content !== undefined) e.textContent = content;
    parent.append(e);
    return e;
  }
  function length(mark) {
    if (mark % marks === 0) return 78;
    const steps = metric
      ? [
          [2, 56],
          [10, 38],
          [20, 26],
        ]
      : [
          [2, 62],
          [4, 50],
          [8, 38],
          [16, 28],
          [32, 20],
          [64, 14],
        ];
    return (steps.find(([part]) => (mark * part) % marks === 0) || [0, 14])[1];
  }
  function label(mark) {
    if (metric) return mark % (marks / 10) === 0 && mark % marks !== 0 ? String(mark / (marks / 10)) : '';
    let [n, d] = [mark, marks];
    while (n && n % 2 === 0) {
      n /= 2;
      d /= 2;
    }
    return mark % marks === 0 || d > 16 ? '' : `${n}⁄${d}`;
  }
  function draw() {
    if (!inch.clientWidth) return;
    const pad = Number(panel.dataset.pad || 30);
    const width = inch.clientWidth;
    let per = marks;
    while ((width - 2 * pad) / per < ROOM && per > 2 && per % 2 === 0) per /= 2;
    const gap = (width - 2 * pad) / per;
    // Lower where the window is: what is measured stays in sight above it.
    const height = matchMedia('(max-height: 900px)').matches ? 108 : 132;
    inch.replaceChildren();
    rows = [];
    for (let from = 0; from < marks; from += per) {
      const svg = make('svg', { width, height, 'aria-hidden': 'true' }, inch);
      row(svg, from, from + per, pad, gap, height);
      rows.push({ svg, from, per, pad, gap });
    }
    spoken();
  }
  function row(svg, from, to, pad, gap, height) {
    const x = (mark) => pad + (mark - from) * gap;
    if (at.mark !== null && at.mark >= from && at.mark <= to) {
      const shift = at.side === '+' ? gap / 4 : at.side === '-' ? -gap / 4 : 0;
      make(
        'rect',
        {
          class: 'chosen',
          x: x(at.mark) + shift - gap * (at.side ? 0.2 : 0.42),
          y: 1,
          width: gap * (at.side ? 0.4 : 0.84),
          height: height - 2,
        },
        svg,
      );
    }
    const last = before();
    if (Number.isFinite(last)) {
      const m = (last / unit - at.whole) * marks;
      if (m >= from - 0.5 && m <= to + 0.5) make('path', { class: 'lasttick', d: `M${x(m)} 1V${height - 2}` }, svg);
    }
    for (let mark = from; mark <= to; mark++) {
      const chosen = at.mark === mark && !at.side;
      make(
        'path',
        {
          class: chosen ? 'mark on' : 'mark',
          'data-mark': mark,
          'stroke-width': length(mark) > 40 ? 3 : 2,
          d: `M${x(mark)} 1v${Math.min(length(mark), height - 50)}`,
        },
        svg,
      );
      const whole = mark % marks === 0;
      const said = whole ? String((at.whole + mark / marks) * (metric ? 10 : 1)).replace('-', '−') : label(mark);
      make(
        'text',
        {
          x: x(mark),
          y: whole ? height - 14 : length(mark) + 24,
          class: whole ? 'whole' : length(mark) > 36 ? 'frac long' : 'frac',
        },
        svg,
        said,
      );
    }
  }
  function spoken() {
    for (const button of panel.querySelectorAll('.nudge')) {
      const to = String((at.whole + Number(button.dataset.by)) * (metric ? 10 : 1)).replace('-', '−');
      button.querySelector('span').textContent = to;
      button.disabled = at.whole + Number(button.dataset.by) < least;
      button.setAttribute('aria-label', words(button.dataset.by > 0 ? 'script.tape.more' : 'script.tape.less', { to }));
    }
    const now = at.whole * marks + (at.mark ?? 0);
    inch.setAttribute('aria-valuenow', String(now));
    inch.setAttribute('aria-valuetext', text() || words('script.tape.unmarked'));
    for (const b of panel.querySelectorAll('[data-side]'))
      b.setAttribute('aria-pressed', String(b.dataset.side === written(at.side)));
  }

  // ---- fingers: one at a time, and only what ends as a tap or a slide along the tape
  const down = new Set();
  let finger = null;
  let spoiled = false;
  function place(e) {
    const found =
      rows.find(({ svg }) => {
        const box = svg.getBoundingClientRect();
        return e.clientY >= box.top && e.clientY <= box.bottom;
      }) || (finger !== null ? rows[rows.length - 1] : null);
    if (!found) return null;
    const f = Math.min(
      Math.max((e.clientX - found.svg.getBoundingClientRect().left - found.pad) / found.gap, 0),
      found.per,
    );
    const under = Math.floor(f);
    const part = f - under;
    if (part < NEAR) return [found.from + under, ''];
    if (part > 1 - NEAR) return [found.from + under + 1, ''];
    return part < 0.5 ? [found.from + under, '+'] : [found.from + under + 1, '-'];
  }
  document.addEventListener(
    'pointerdown',
    (e) => {
      down.add(e.pointerId);
      if (down.size > 1 && finger !== null) {
        spoiled = true;
        say(words('script.tape.two'));
      }
    },
    true,
  );
  const lift = (e) => {
    down.delete(e.pointerId);
    if (down.size === 0) spoiled = false;
  };
  inch.addEventListener('pointerdown', (e) => {
    if (finger !== null || down.size > 1) {
      spoiled = true;
      say(words('script.tape.two'));
      return;
    }
    finger = e.pointerId;
    e.preventDefault();
  });
  inch.addEventListener('pointerup', (e) => {
    if (e.pointerId === finger) {
      finger = null;
      const hit = spoiled ? null : place(e);
      if (hit) choose(...hit);
    }
    lift(e);
  });
  inch.addEventListener('pointercancel', (e) => {
    if (e.pointerId === finger) {
      finger = null;
      if (!spoiled) say(words('script.tape.scroll'));
    }
  });
  for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, lift);

  inch.addEventListener('keydown', (e) => {
    const now = at.mark ?? 0;
    const moves = {
      ArrowRight: () => choose(now + (at.mark === null ? 0 : 1), ''),
      ArrowUp: () => choose(now + (at.mark === null ? 0 : 1), ''),
      ArrowLeft: () => choose(now - 1, ''),
      ArrowDown: () => choose(now - 1, ''),
      PageUp: () => nudge(1),
      PageDown: () => nudge(-1),
      Enter: enter,
    };
    if (moves[e.key]) {
      e.preventDefault();
      moves[e.key]();
    }
  });
  panel.addEventListener('click', (e) => {
    const by = e.target.closest('[data-by]')?.dataset.by;
    const side = e.target.closest('[data-side]')?.dataset.side;
    if (by) nudge(Number(by));
    if (side) {
      if (at.mark === null) say(words('script.tape.mark-first'));
      else choose(at.mark, at.side === written(side) ? '' : written(side));
    }
  });
  new ResizeObserver(draw).observe(inch);

  return { at, show, draw, turn, follow };
}
