// A day under a hand: a vehicle is dragged to another time or bay, or moved by keys; the plan round it is made again.
const TREMBLE = 8;
const STEP = 5;

const drawing = document.querySelector('.day-drawing');
const names = Number(drawing.dataset.names);
const width = drawing.viewBox.baseVal.width - names - Number(drawing.dataset.margin);
const minutes = Number(drawing.dataset.minutes);
const rows = [...drawing.querySelectorAll('.bay-row')];

const perMinute = width / minutes;
const clock = (x) => {
  const at = Number(drawing.dataset.opens) + Math.round((x - names) / perMinute / STEP) * STEP;
  const hour = Math.floor(at / 60) % 24;
  return `${String(hour).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
};
const rowAt = (y) => rows.find((r) => y >= Number(r.dataset.y) && y < Number(r.dataset.y) + Number(r.dataset.height));

/** Where a pointer is in the drawing's own units. */
function point(e) {
  const box = drawing.getBoundingClientRect();
  const scale = drawing.viewBox.baseVal.width / box.width;
  return { x: (e.clientX - box.left) * scale, y: (e.clientY - box.top) * scale };
}

/** So far it was moved: pixels of the drawing sideways, rows up or down. */
const shifts = new WeakMap();

function show(block, x, row) {
  const from = block.closest('.bay-row');
  shifts.set(block, { x, row });
  block.setAttribute('transform', `translate(${x} ${Number(row.dataset.y) - Number(from.dataset.y)})`);
  block.classList.add('moved');
}

function putBack(block) {
  shifts.delete(block);
  block.removeAttribute('transform');
  block.classList.remove('moved');
}

/** Fills the vehicle's own form and sends it as if it had been typed. */
function send(block) {
  const shift = shifts.get(block);
  const form = document.querySelector(`[data-put="${block.dataset.job}"]`);
  const put = form.querySelector('[value="PUT"]');
  if (!shift || !put) return;
  form.elements[`at${block.dataset.job}`].value = clock(Number(block.dataset.x) + shift.x);
  form.elements[`bay${block.dataset.job}`].value = shift.row.dataset.bay;
  form.requestSubmit(put);
}

function within(block, x) {
  const from = Number(block.dataset.x);
  return Math.min(Math.max(x, names - from), names + width - from - Number(block.dataset.width));
}

function drag(e) {
  const block = e.target.closest('.block:not(.begun)');
  if (!block || e.button !== 0 || !e.isPrimary) return;
  const from = point(e);
  let moved = false;
  const move = (m) => {
    const at = point(m);
    if (!moved && Math.hypot(at.x - from.x, at.y - from.y) < TREMBLE) return;
    moved = true;
    show(block, within(block, at.x - from.x), rowAt(at.y) ?? block.closest('.bay-row'));
  };
  const end = (m) => {
    document.removeEventListener('pointermove', move);
    document.removeEventListener('pointerup', end);
    document.removeEventListener('pointercancel', end);
    if (!moved) return;
    // The click that ends a drag opens nothing.
    const nothing = (c) => c.preventDefault();
    window.addEventListener('click', nothing, { capture: true });
    setTimeout(() => window.removeEventListener('click', nothing, { capture: true }), 0);
    if (m.type === 'pointerup') send(block);
    else putBack(block);
  };
  document.addEventListener('pointermove', move);
  document.addEventListener('pointerup', end);
  document.addEventListener('pointercancel', end);
}

function byKey(e) {
  const block = e.target.closest?.('.block:not(.begun)');
  if (!block) return;
  const shift = shifts.get(block) ?? { x: 0, row: block.closest('.bay-row') };
  const at = rows.indexOf(shift.row);
  const to = {
    ArrowLeft: [-STEP * perMinute, 0],
    ArrowRight: [STEP * perMinute, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }[e.key];
  if (to) {
    e.preventDefault();
    show(block, within(block, shift.x + to[0]), rows[at + to[1]] ?? shift.row);
  } else if (e.key === 'Escape') {
    putBack(block);
  } else if (e.key === 'Enter' && shifts.has(block)) {
    e.preventDefault();
    send(block);
  }
}

/** A tap shows the vehicle's own line, opened. */
function open(e) {
  const block = e.target.closest('.block');
  if (!block || e.defaultPrevented) return;
  document.getElementById(`v-${block.dataset.job}`)?.querySelector('details')?.setAttribute('open', '');
}

export function day() {
  drawing.addEventListener('dragstart', (e) => e.preventDefault());
  drawing.addEventListener('pointerdown', drag);
  drawing.addEventListener('keydown', byKey);
  drawing.addEventListener('click', open);
}
