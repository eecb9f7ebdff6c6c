// A corner under the hand: what the clock, the cut and the list say of one place goes together; its limits are dragged; and a gap
// is entered by tapping the clock, the face of the tyre and the mark of the tape.
import { pose } from './cut.mjs';
import { follow } from './follow.mjs';
import { enter, likely, mark, touched } from './hours.mjs';
import { inch, typed } from './inch.mjs';

const clock = document.getElementById('clockpane');
const travel = document.getElementById('travelpane');
const form = document.querySelector('.probe');
const fields = form.elements;
const tape = document.getElementById('gaptape');
/** A limit that was held ends with a click on what holds the drawing: that is no tap on the clock. */
let held = false;

// ---- the pose in all of the drawings
function posed() {
  const nearest = document.getElementById('nearest').dataset.at;
  for (const li of document.querySelectorAll('.places li')) li.classList.toggle('here', li.dataset.number === nearest);
  const svg = travel.firstElementChild;
  const y = Number(svg.dataset.zero) - Number(document.getElementById('hand-bump').value) * Number(svg.dataset.scale);
  document.getElementById('travel-pose').setAttribute('d', `M12 ${y}h36`);
  tapped();
}

// ---- a gap
const tapped = () => mark(clock.firstElementChild, fields.clock.value);

/** A tap on the wheel says the hour, and what is likely there is chosen. */
function probe(e) {
  if (held) return;
  enter(fields, touched(clock.firstElementChild, e));
  guess();
  tapped();
  fields.gap.dispatchEvent(new Event('input', { bubbles: true }));
  form.querySelector('[name=face]:checked').focus({ preventScroll: true });
  form.scrollIntoView({ block: 'nearest' });
}

/** A part that was said by hand stays. */
let said = false;
function guess() {
  if (!said) likely(fields, form.dataset.likely);
}

function probing() {
  const face = inch(tape, {
    wrote(text) {
      fields.gap.value = text;
      fields.gap.dispatchEvent(new CustomEvent('input', { bubbles: true, detail: 'tape' }));
    },
    enter: () => form.requestSubmit(),
    say(text) {
      document.getElementById('gap-said').textContent = text;
    },
    least: 0,
  });
  tape.hidden = false;
  face.follow(fields.gap.value);
  clock.addEventListener('pointerdown', () => (held = false), true);
  clock.addEventListener('click', probe);
  fields.place.addEventListener('change', () => {
    said = true;
  });
  form.addEventListener('input', (e) => {
    if (e.target === fields.clock) {
      guess();
      tapped();
    }
    if (e.target === fields.gap && e.detail !== 'tape') face.follow(fields.gap.value);
  });
  form.addEventListener('change', (e) => {
    if (e.target.name === 'face') guess();
  });
  if (form.dataset.unfit) said = true;
}

// ---- limits
/** A limit is dragged along its rod or its arc; its field says where it is, on a mark of the person's tape. */
function limits(pane, value) {
  pane.addEventListener('pointerdown', (down) => {
    const limit = down.target.closest('.limit');
    if (down.button || !down.isPrimary) return;
    if (!limit) {
      value.beside?.(pane, down);
      return;
    }
    const field = document.getElementById(limit.dataset.field);
    const from = value.of(pane, limit, down);
    let moved = false;
    held = true;
    follow(
      pane,
      down,
      (e) => {
        moved = true;
        value.to(pane, limit, field, e, from);
      },
      () => (moved ? offer(field) : field.focus()),
    );
  });
}

/** What was dragged counts once the corner is swept again. */
function offer(field) {
  field.dispatchEvent(new Event('input', { bubbles: true }));
  const line = document.getElementById('dragged');
  line.firstElementChild.textContent = field.labels[0].textContent + ': ' + field.value;
  line.hidden = false;
}

const units = (svg, px) => (px * svg.viewBox.baseVal.height) / svg.getBoundingClientRect().height;
const clamp = (v, least, most) => Math.min(Math.max(v, least), most);

/** Beside the limits the rod shows the wheel where it is touched; ride height is straight ahead and upright, too. */
function along(pane, down) {
  if (down.target.closest('.ride')) {
    pose({ bump: 0, steer: 0, roll: 0 });
    return;
  }
  const svg = pane.firstElementChild;
  const move = (e) => {
    const y = units(svg, e.clientY - svg.getBoundingClientRect().top);
    pose({ bump: Math.round((Number(svg.dataset.zero) - y) / Number(svg.dataset.scale)) });
  };
  move(down);
  follow(pane, down, move);
}

const onRod = {
  beside: along,
  of: (pane, limit, e) => ({
    y: e.clientY,
    at: Number(limit.querySelector('.grip').dataset.y),
    zero: Number(pane.firstElementChild.dataset.zero),
    scale: Number(pane.firstElementChild.dataset.scale),
  }),
  to(pane, limit, field, e, from) {
    const y = from.at + units(pane.firstElementChild, e.clientY - from.y);
    let mm = clamp(((from.zero - y) / from.scale) * Number(limit.dataset.up), 0, 300);
    // A stop is crushed from where it begins.
    if (field.id === 'crush') mm = clamp(mm - Number(travel.firstElementChild.dataset.stop), 0, 100);
    const step = Number(tape.dataset.unit) / Number(tape.dataset.marks);
    field.value = typed(Math.round((mm * 1e6) / step), tape.dataset);
    limit.querySelector('.grip').setAttribute('transform', `translate(0 ${y - from.at})`);
    limit.querySelector('.value').textContent = field.value;
  },
};

const onArc = {
  of: () => null,
  to(pane, limit, field, e) {
    const box = pane.firstElementChild.getBoundingClientRect();
    const x = e.clientX - box.left - box.width / 2;
    const y = e.clientY - box.top - box.height / 2;
    const degrees = (Math.atan2(x, -y) * 180) / Math.PI;
    const lock = Math.round(clamp(degrees * Number(limit.dataset.turn), 0, 60));
    field.value = String(lock);
    limit.querySelector('.value').textContent = lock + '°';
    const was = Number(limit.dataset.from);
    const turn = (lock - was) * Number(limit.dataset.turn);
    for (const part of limit.querySelectorAll('circle')) part.setAttribute('transform', `rotate(${turn})`);
  },
};

export function corner(act) {
  document.addEventListener('posed', posed);
  probing();
  posed();
  limits(travel, onRod);
  limits(clock, onArc);
  const worst = document.querySelector('.places .topose');
  act('w', () => worst?.click());
  act('r', () => pose({ bump: 0, steer: 0, roll: 0 }));
  act('p', () => fields.clock.focus());
  document.getElementById('cutaway').dataset.live = '';
}
