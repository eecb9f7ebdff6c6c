// The tape under the walk: it writes into the reading field that is in work, as a keyboard would.
import { drafts } from './drafts.mjs';
import { inch } from './inch.mjs';
import { act } from './keys.mjs';
import { say as words } from './say.mjs';

export function tape({ area, take, undo, next }) {
  const panel = document.getElementById('tape');
  const title = panel.querySelector('.tape-title');
  const last = panel.querySelector('.tape-last');
  const toggle = document.getElementById('tape-toggle');
  const aloud = document.getElementById('aloud-toggle');
  const metric = panel.dataset.metric === 'true';
  let key = '';
  /** The whole unit of what was written last. */
  let recent = null;

  const field = () => document.getElementById('in-' + key);
  const say = (text) => {
    panel.querySelector('.tape-status').textContent = text;
  };
  const face = inch(panel, {
    wrote(text) {
      const input = field();
      if (!input) return;
      input.value = text;
      input.dispatchEvent(new CustomEvent('input', { bubbles: true, detail: 'tape' }));
    },
    before: () => (field()?.dataset.last ? Number(field().dataset.lastnm) : NaN),
    enter: () => take(field()),
    say,
  });

  /** The field that is in work: its name, its last value, and the unit of tape to begin with. */
  function turnTo(input) {
    key = input.closest('.spot').dataset.key;
    const data = input.dataset;
    title.textContent = input.getAttribute('aria-label');
    last.textContent = data.last
      ? words('script.tape.last', { read: data.last.replace('-', '−').replace(/(\d+)\/(\d+)/, '$1⁄$2') })
      : words('script.tape.none');
    // A reading that stands on a mark is shown there.
    face.turn(Number(data.start), input.value !== '' && input.value === data.kept);
    // Without a last value here the tape begins where it was read just now: the page knows that only a moment later.
    if (!data.last && input.value === '' && recent !== null) face.at.whole = recent;
    face.show(input.value || '');
    face.draw();
    if (!panel.hidden) input.closest('.arch').querySelector('.under')?.scrollIntoView({ block: 'nearest' });
  }

  panel.addEventListener('click', (e) => {
    if (e.target.closest('[data-take]')) {
      if (onward()) next().click();
      else if (field()?.value.trim()) take(field());
      else say(words('script.tape.tap'));
    }
    if (e.target.closest('[data-undo]')) {
      field()?.focus({ preventScroll: true });
      undo();
    }
    if (e.target.closest('[data-aloud]')) readAloud(!panel.classList.contains('aloud'));
  });

  /** Nothing is left to take here: the same button leads to the next round. */
  const onward = () => next() && !field()?.classList.contains('dirty');
  const button = panel.querySelector('[data-take]');
  const takes = button.textContent;
  function label() {
    button.textContent = onward() ? words('script.tape.next', { round: next().textContent.trim() }) : takes;
  }

  // ---- which field
  area.addEventListener('focusin', (e) => {
    const whole = field()?.value.match(/^-?\d+/)?.[0];
    if (whole) recent = face.at.mark === null ? Math.floor(Number(whole) / (metric ? 10 : 1)) : face.at.whole;
    if (e.target.matches('.reading') && e.target.closest('.spot').dataset.key !== key) turnTo(e.target);
  });
  area.addEventListener('input', (e) => {
    if (e.detail !== 'tape' && e.target.matches('.reading')) face.follow(e.target.value);
    label();
  });
  document.body.addEventListener('htmx:oobAfterSwap', () => {
    keyboard();
    label();
    if (!panel.hidden && field() && field().value === '') face.show('');
  });

  // What the answer brought is in its place only after the last of its parts.
  for (const done of ['htmx:afterSettle', 'htmx:afterRequest']) document.body.addEventListener(done, label);

  /** The field with the focus, else the one that had it, else the first that is empty. */
  const inWork = () =>
    (document.activeElement?.matches('.reading') && document.activeElement) ||
    field() ||
    [...area.querySelectorAll('.reading')].find((i) => i.value === '') ||
    area.querySelector('.reading');

  // ---- shown or not
  /** A tablet's own keyboard stays down while the tape is up; one that is plugged in types as ever. */
  function keyboard() {
    for (const input of area.querySelectorAll('.reading')) input.inputMode = panel.hidden ? 'text' : 'none';
  }
  function open(up, remember) {
    panel.hidden = !up;
    toggle.setAttribute('aria-pressed', String(up));
    keyboard();
    if (!up) readAloud(false);
    if (remember) drafts.put('tape', up);
    if (up) {
      turnTo(inWork());
      // What was typed before the tape came up counts too.
      if (field()?.classList.contains('dirty')) face.follow(field().value);
      else face.draw();
    }
  }
  /** So large that a second person reads it across the car: corner, method, value, last value. */
  function readAloud(up) {
    panel.classList.toggle('aloud', up);
    aloud.setAttribute('aria-pressed', String(up));
    if (up && panel.hidden) open(true, false);
    document.documentElement.classList.toggle('held', up);
    face.draw();
    if (up) field()?.focus({ preventScroll: true });
  }
  toggle.addEventListener('click', () => {
    open(panel.hidden, true);
    field()?.focus();
  });
  aloud.addEventListener('click', () => readAloud(!panel.classList.contains('aloud')));
  document.addEventListener('keydown', (e) => {
    if (e.key === 'Escape' && panel.classList.contains('aloud')) readAloud(false);
  });
  act('t', () => toggle.click());
  act('r', () => aloud.click());
  toggle.hidden = aloud.hidden = false;
  label();
  key = inWork().closest('.spot').dataset.key;
  open(drafts.get('tape') ?? matchMedia('(pointer: coarse)').matches, false);
}
