// A press: what comes meanwhile waits until the hand is off, so that what is pressed does not move away under it.

/** After the hand is off its click comes a moment later, ms. */
const CLICK = 80;
const PRESSED = 'button, a, summary, label, select, input[type=radio], input[type=checkbox]';

let on = null;
let waiting = new Map();

function off() {
  on = null;
  const works = waiting.values();
  waiting = new Map();
  for (const work of works) work();
}

document.addEventListener(
  'pointerdown',
  (e) => {
    if (e.target.closest?.(PRESSED)) on = e.pointerId;
  },
  true,
);
for (const end of ['pointerup', 'pointercancel'])
  document.addEventListener(end, (e) => e.pointerId === on && setTimeout(off, CLICK), true);

export const pressing = () => on !== null;

/** Does it now, or once nothing is pressed; of what has one name only the newest waits. */
export function unpressed(name, work) {
  if (!pressing()) work();
  else waiting.set(name, work);
}
