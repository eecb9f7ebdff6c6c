// What is under the hand: bump, steer and roll of a corner, a vehicle's place on its way, by sliders or by dragging; and probing
// by pointing at the wheel.
const form = document.getElementById('hand');
const cut = document.getElementById('cut');
let busy = false;
let again = false;

/** Asks for the drawing at the pose of the sliders; while one answer is under way only the newest pose waits. */
async function show() {
  for (const r of form.querySelectorAll('input[type=range]')) {
    const v = Number(r.value);
    const way = v > 0 ? r.dataset.more : r.dataset.less;
    r.nextElementSibling.textContent = (way ? Math.abs(v) : v) + r.dataset.unit + (v && way ? ' ' + way : '');
  }
  if (busy) {
    again = true;
    return;
  }
  busy = true;
  try {
    do {
      again = false;
      const answer = await fetch(cut.dataset.src + '?' + new URLSearchParams(new FormData(form)));
      if (answer.ok && !answer.redirected) cut.innerHTML = await answer.text();
    } while (again);
  } catch {
    /* no network: the last pose stays */
  } finally {
    busy = false;
  }
}

function set(name, value) {
  const slider = form.elements[name];
  if (slider) slider.value = value;
}

/** Dragging: a mm of the drawing is a mm of bump; across, two of them are a degree. */
function drag(down) {
  // The drawing is replaced while it is dragged, so the finger is on what holds it: a touch on what goes loses its end.
  const svg = cut.querySelector('.cutsvg, .stancesvg');
  const box = svg.getBoundingClientRect();
  if (down.button || down.clientY < box.top || down.clientY > box.bottom) return;
  const shown = svg.viewBox.baseVal;
  const scale = Math.max(shown.width / box.width, shown.height / box.height);
  const value = (name) => Number(form.elements[name]?.value ?? 0);
  const from = { bump: value('bump'), steer: value('steer'), along: value('along') };
  cut.setPointerCapture(down.pointerId);
  const move = (e) => {
    set('bump', Math.round(from.bump - (e.clientY - down.clientY) * scale));
    set('steer', Math.round(from.steer + ((e.clientX - down.clientX) * scale) / 4));
    // The front is to the left.
    set('along', Math.round(from.along - (e.clientX - down.clientX) * scale));
    show();
  };
  const up = () => {
    cut.removeEventListener('pointermove', move);
    cut.removeEventListener('pointerup', up);
    cut.removeEventListener('pointercancel', up);
  };
  cut.addEventListener('pointermove', move);
  cut.addEventListener('pointerup', up);
  cut.addEventListener('pointercancel', up);
}

/** A tap on the wheel says the hour, and by how far out it lies the face; what is likely there is chosen. */
function probe(e) {
  const face = document.getElementById('clock-face');
  const box = face.getBoundingClientRect();
  const scale = face.viewBox.baseVal.width / Math.min(box.width, box.height);
  const x = (e.clientX - box.left - box.width / 2) * scale;
  const y = (e.clientY - box.top - box.height / 2) * scale;
  const half = Math.round(Math.atan2(x, -y) / (Math.PI / 12));
  const hour = (half <= 0 ? half + 24 : half) / 2;
  const tyre = Number(face.dataset.tyre);
  const fields = document.querySelector('#probing form').elements;
  document.getElementById('probing').open = true;
  fields.clock.value = hour;
  if (Math.hypot(x, y) < tyre) fields.face.value = 'OUTER_SIDEWALL';
  else if (fields.face.value === 'OUTER_SIDEWALL') fields.face.value = 'TREAD';
  likely();
  const angle = (hour * Math.PI) / 6;
  const mark = document.getElementById('tapped');
  mark.removeAttribute('display');
  mark.setAttribute(
    'd',
    `M${(tyre - 60) * Math.sin(angle)} ${-(tyre - 60) * Math.cos(angle)}L${(tyre + 90) * Math.sin(angle)} ${-(tyre + 90) * Math.cos(angle)}`,
  );
  fields.gap.dispatchEvent(new Event('input', { bubbles: true }));
  fields.gap.focus();
}

/** The part that is likely at the hour and face; said by hand it stays. */
let said = false;
function likely() {
  const fields = document.querySelector('#probing form').elements;
  const hour = Number(fields.clock.value);
  if (said || !(hour > 0 && hour <= 12)) return;
  const table = document.getElementById('clock-face').dataset.likely.split(',');
  const faces = [...fields.face].map((f) => f.value);
  const at = (Math.max(1, Math.round(hour * 2)) - 1) * faces.length + faces.indexOf(fields.face.value);
  fields.place.selectedIndex = Number(table[at]);
}

export function hand() {
  form.addEventListener('input', show);
  form.addEventListener('submit', (e) => {
    e.preventDefault();
    show();
  });
  cut.addEventListener('pointerdown', drag);
  // A drag is no fling of the page: the browser would swallow the next tap to stop it.
  cut.addEventListener('touchstart', (e) => e.preventDefault(), { passive: false });
  document.addEventListener('click', (e) => {
    const to = e.target.closest('.topose');
    if (!to) return;
    e.preventDefault();
    for (const name of ['bump', 'steer', 'roll']) set(name, to.dataset[name]);
    show();
    cut.scrollIntoView({ block: 'nearest' });
  });
  if (!document.getElementById('probing')) return;
  document.getElementById('clock-face').addEventListener('click', probe);
  const probing = document.querySelector('#probing form');
  probing.elements.place.addEventListener('change', () => {
    said = true;
  });
  probing.elements.clock.addEventListener('input', likely);
  probing.addEventListener('change', (e) => {
    if (e.target.name === 'face') likely();
  });
  if (probing.dataset.unfit) said = true;
}
