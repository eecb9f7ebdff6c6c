// A wheel seen from outside is a clock: which hour was touched, what is likely there, and the mark where it was.

/** The half hour under a finger, and whether it is on the wheel's side, within its tyre. */
export function touched(svg, e) {
  const box = svg.getBoundingClientRect();
  const scale = svg.viewBox.baseVal.width / Math.min(box.width, box.height);
  const x = (e.clientX - box.left - box.width / 2) * scale;
  const y = (e.clientY - box.top - box.height / 2) * scale;
  const half = Math.round(Math.atan2(x, -y) / (Math.PI / 12));
  return { hour: (half <= 0 ? half + 24 : half) / 2, inside: Math.hypot(x, y) < Number(svg.dataset.tyre) };
}

/** Marks an hour in a drawing; none for a text that is no hour. */
export function mark(svg, text) {
  const hour = Number(text);
  const line = svg.querySelector('.tapped');
  line.toggleAttribute('display', false);
  if (!(hour > 0 && hour <= 12)) {
    line.setAttribute('display', 'none');
    return;
  }
  const tyre = Number(svg.dataset.tyre);
  const angle = (hour * Math.PI) / 6;
  const at = (r) => `${r * Math.sin(angle)} ${-r * Math.cos(angle)}`;
  line.setAttribute('d', `M${at(tyre * 0.66)}L${at(tyre + 86)}`);
}

/** Chooses the part that is likely at the hour and face of a form, by a table of half hours and faces. */
export function likely(fields, table) {
  const hour = Number(fields.clock.value);
  if (!(hour > 0 && hour <= 12)) return;
  const faces = [...fields.face].map((f) => f.value);
  const at = (Math.max(1, Math.round(hour * 2)) - 1) * faces.length + faces.indexOf(fields.face.value);
  fields.place.selectedIndex = Number(table.split(',')[at]);
}

/** The hour that was touched goes into a form, and on a tyre's side the sidewall. */
export function enter(fields, { hour, inside }) {
  fields.clock.value = hour;
  if (inside) fields.face.value = 'OUTER_SIDEWALL';
  else if (fields.face.value === 'OUTER_SIDEWALL') fields.face.value = 'TREAD';
}
