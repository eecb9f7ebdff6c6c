// The plan: what is typed or dragged shows at once what comes of it; kept by its button.
import { follow } from './follow.mjs';

const form = document.getElementById('bench');
const planned = document.getElementById('planned');
const WAIT = 180;

let asked = 0;
let timer;

/** What would come of what stands in the form; an answer that a later question overtook is dropped. */
async function ask() {
  const mine = ++asked;
  const open = [...planned.querySelectorAll('details')].map((d) => d.open);
  const answer = await fetch(`${planned.dataset.src}?${new URLSearchParams(new FormData(form))}`).catch(() => null);
  if (mine !== asked || !answer?.ok) return;
  planned.innerHTML = await answer.text();
  // What was unfolded stays so, as long as there are as many folds.
  const now = planned.querySelectorAll('details');
  if (now.length === open.length) now.forEach((d, i) => (d.open = open[i]));
  grips();
  planned.dispatchEvent(new CustomEvent('planned', { bubbles: true }));
}

function soon() {
  clearTimeout(timer);
  timer = setTimeout(ask, WAIT);
}

const perch = (end, name = 'PERCH') => form.elements[`${end}_${name}`];

/** Millimetres of a text in the person's unit; nought where it cannot be told here: the server reads it. */
function mm(text) {
  const inches = document.body.querySelector('#bench').dataset.inches === 'true';
  const read = /^\s*(-?)(?:(\d+(?:\.\d+)?))?(?:\s*(\d+)\/(\d+))?\s*(mm|in|"|″)?\s*$/.exec(text.replace('−', '-'));
  if (!read || (!read[2] && !read[3])) return NaN;
  const value = Number(read[2] ?? 0) + (read[3] ? Number(read[3]) / Number(read[4]) : 0);
  const metric = read[5] === 'mm' || (!read[5] && !inches);
  return (read[1] ? -1 : 1) * value * (metric ? 1 : 25.4);
}

/** A perch is set to whole millimetres: what is written says so. */
function write(end, to) {
  const field = perch(end);
  const text = `${Math.round(to)} mm`.replace(/^-0/, '0');
  if (field.value === text) return;
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** A handle over each wheel whose perch has a range. */
function grips() {
  const svg = planned.querySelector('.plandrawn svg');
  if (!svg) return;
  const wheels = svg.querySelectorAll('.tyre');
  planned.querySelectorAll('.planend').forEach((section) => {
    const { end } = section.dataset;
    const least = mm(perch(end, 'PERCH_LEAST').value);
    const most = mm(perch(end, 'PERCH_MOST').value);
    const wheel = wheels[end === 'FRONT' ? 0 : 1];
    if (Number.isNaN(least) || Number.isNaN(most) || !wheel) return;
    const x = wheel.cx.baseVal.value;
    const y = wheel.cy.baseVal.value - wheel.r.baseVal.value - 240;
    const grip = document.createElementNS('http://www.w3.org/2000/svg', 'g');
    grip.setAttribute('class', 'grip');
    grip.setAttribute('transform', `translate(${x} ${y})`);
    grip.innerHTML = '<circle r="95"/><path d="M-38-18 0-56l38 38M-38 18 0 56l38-38"/>';
    svg.append(grip);
    grip.addEventListener('pointerdown', (down) => {
      down.preventDefault();
      const ratio = Number(section.dataset.ratio);
      const from = mm(perch(end).value) || 0;
      const at = (e) => new DOMPoint(e.clientX, e.clientY).matrixTransform(svg.getScreenCTM().inverse()).y;
      const start = at(down);
      follow(planned, down, (e) => {
        const to = Math.max(least, Math.min(most, from + (at(e) - start) * ratio));
        write(end, to);
        clearTimeout(timer);
        ask();
      });
    });
  });
}

export function plan() {
  form.addEventListener('input', soon);
  form.addEventListener('change', soon);
  grips();
  form.dataset.live = '';
}
