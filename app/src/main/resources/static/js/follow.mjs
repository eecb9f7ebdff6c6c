// A drag, by one finger.

/** Follows one finger until it is lifted, wherever it goes; a second one moves nothing. */
export function follow(pane, down, moved, lifted = () => {}) {
  pane.setPointerCapture(down.pointerId);
  const move = (e) => e.pointerId === down.pointerId && moved(e);
  const up = (e) => {
    if (e.pointerId !== down.pointerId) return;
    pane.removeEventListener('pointermove', move);
    for (const end of ['pointerup', 'pointercancel']) pane.removeEventListener(end, up);
    lifted();
  };
  pane.addEventListener('pointermove', move);
  for (const end of ['pointerup', 'pointercancel']) pane.addEventListener(end, up);
}
