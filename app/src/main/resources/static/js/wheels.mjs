// A tyre and its wheel built by thumb: each press steps one number of the texts in the fields, which a keyboard types as ever.

const TYRE = /^(\D{0,2})(\d{3})\/(\d{2})(\s*Z?R)(\d{2})(.*)$/i;
const WHEEL = /^(\d{1,2}(?:\.\d+)?)(J{0,2}\s*x\s*)(\d{2})(\s*ET\s*)(-?\d+)(.*)$/i;
const STEP = { width: 10, aspect: 5, rim: 1, rimwidth: 0.5, offset: 1 };
const LEAST = { width: 105, aspect: 20, rim: 10, rimwidth: 3, offset: -99 };
const MOST = { width: 395, aspect: 95, rim: 24, rimwidth: 14, offset: 99 };

function read(tyre, wheel) {
  const t = tyre.match(TYRE);
  const w = wheel.match(WHEEL);
  return t && w && { t, w, width: +t[2], aspect: +t[3], rim: +t[5], rimwidth: +w[1], offset: +w[5] };
}

function thumbs(panel, form) {
  const tyre = form.elements['TYRE_' + panel.dataset.end];
  const wheel = form.elements['WHEEL_' + panel.dataset.end];
  const front = [form.elements.TYRE_FRONT.value, form.elements.WHEEL_FRONT.value];
  const now = () => read(tyre.value.trim(), wheel.value.trim());
  const start = () =>
    read(...front) || read(panel.dataset.tyre, panel.dataset.wheel) || read('205/55R16', '6.5Jx16 ET45');
  /** What stands there and is no size that this script reads: never overwritten, the core answers for it. */
  const other = () => tyre.value.trim() !== '' && !now();
  const show = () => {
    const at = now() || (other() ? { width: '–', aspect: '–', rim: '–', rimwidth: '–', offset: '–' } : start());
    const said = other() ? at : { ...at, rim: 'R' + at.rim, rimwidth: at.rimwidth + 'J', offset: 'ET' + at.offset };
    for (const step of panel.children) {
      step.querySelector('output').textContent = said[step.dataset.part];
      step.classList.toggle('begins', !now());
    }
  };
  const put = (texts) => {
    tyre.value = texts.tyre;
    wheel.value = texts.wheel;
    tyre.dispatchEvent(new Event('input', { bubbles: true }));
    show();
  };
  const ask = async (part, by) => {
    const query = new URLSearchParams({ tyre: tyre.value, wheel: wheel.value, part: part.toUpperCase(), by });
    try {
      const answer = await fetch(`${panel.dataset.src}?${query}`, { signal: AbortSignal.timeout(4000) });
      if (answer.status === 200 && !answer.redirected) put(await answer.json());
    } catch {
      /* no network: what stands there stays */
    }
  };
  panel.addEventListener('click', (e) => {
    const by = Number(e.target.closest('[data-by]')?.dataset.by);
    if (!by) return;
    const part = e.target.closest('.step').dataset.part;
    if (other()) {
      ask(part, by);
      return;
    }
    let at = now();
    if (at) {
      at[part] = Math.min(Math.max(at[part] + by * STEP[part], LEAST[part]), MOST[part]);
    } else {
      // The first press takes what stands in front, or what is fitted; the next one steps.
      at = start();
    }
    put({
      tyre: at.t[1] + at.width + '/' + at.aspect + at.t[4] + at.rim + at.t[6],
      wheel: at.rimwidth + at.w[2] + at.rim + at.w[4] + at.offset + at.w[6],
    });
  });
  form.addEventListener('input', show);
  panel.hidden = false;
  show();
}

export function wheels() {
  for (const panel of document.querySelectorAll('.thumbs')) thumbs(panel, panel.closest('form'));
}
