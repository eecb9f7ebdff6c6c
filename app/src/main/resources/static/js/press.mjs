// A press: what comes meanwhile waits until the hand is off, so that what is pressed does not move away under it.

/** After the hand is off its click comes a moment later, ms. */
const CLICK = 80;
/** No press is longer: where the browser never says that the hand is off, nothing waits for good, ms. */
const LONGEST = 3000;
// Not what opens a list of its own, which keeps the hand's coming off to itself.
const PRESSED = 'button, a, summary, label, input[type=radio], input[type=checkbox]';

let on = null;
let timer;
let waiting = new Map();

function off() {
  on = null;
  const works = waiting.values();
  waiting = new Map();
  for (const work of works) work();
}

function offIn(ms) {
  clearTimeout(timer);
  timer = setTimeout(off, ms);
}

document.addEventListener(
  'pointerdown',
  (e) => {
    if (!e.target.closest?.(PRESSED)) return;
    on = e.pointerId;
    offIn(LONGEST);
  },
  true,
);
for (const end of ['pointerup', 'pointercancel'])
  document.addEventListener(end, (e) => e.pointerId === on && offIn(CLICK), true);

export const pressing = () => on !== null;

/** Does it now, or once nothing is pressed; of what has one name only the newest waits. */
export function unpressed(name, work) {
  if (!pressing()) work();
  else waiting.set(name, work);
}
