// What instruments in this person's hand measured: shown over the page, taken into the field in hand, or refused.
import { body, person, token } from './page.mjs';

// Which fields take what; the names are those of the forms.
const FIELDS = {
  torque: 'input[name^="reading-"]',
  height: 'input.reading, input[name^="read"]:not([name^="reading-"])',
  weight: 'input[name^="weight"]',
  pressure: 'input[name^="PRESSURE_"], input[name^="air"]',
};
const EVERY = 1000;
let last = null;

const seen = (field) => field.isConnected && !field.disabled && field.getClientRects().length > 0;

/** The field that has the focus or had it last, else the first that is empty. */
function inHand(kind) {
  const fields = [...document.querySelectorAll(FIELDS[kind])].filter(seen);
  return fields.includes(last) ? last : (fields.find((f) => f.value === '') ?? fields[0]);
}

function enter(field, text) {
  field.value = text;
  field.focus();
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  const all = [...document.querySelectorAll('input')].filter((f) => seen(f) && f.type !== 'hidden');
  const form = field.closest('form.spot');
  if (form) form.requestSubmit();
  // The next wheel's scale comes next.
  last = field.name.startsWith('weight') ? (all[all.indexOf(field) + 1] ?? field) : field;
}

// What was said of a reading and did not get to the application yet: told when there is a way, and not shown again meanwhile.
// By person: on a tablet that changed hands it waits for who took it.
const SAID = 'instruments:said:' + person;
const said = () => JSON.parse(localStorage.getItem(SAID) ?? '[]');
const keep = (all) => (all.length ? localStorage.setItem(SAID, JSON.stringify(all)) : localStorage.removeItem(SAID));

async function tell() {
  for (const { id, how, ...went } of said()) {
    const answer = await fetch(`/instruments/readings/${id}/${how}`, {
      method: 'POST',
      body: new URLSearchParams(went),
      headers: { [token.dataset.header]: token.content },
      signal: AbortSignal.timeout(4000),
    }).catch(() => null);
    // No way, or somebody else's sign-in by now: it waits.
    if (!answer || answer.status >= 500 || answer.redirected || [401, 403].includes(answer.status)) return;
    keep(said().filter((one) => one.id !== id));
  }
}

/** What a reading became, so that it can be told later which ones were typed. */
const where = (field) => ({
  into: field.form?.elements.client?.value ?? '',
  page: location.pathname,
  field: (field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent ?? '').trim().slice(0, 120),
});

/** A reading that is taken is in its field at once, way or no way: from there on it waits like what was typed. */
function done(came, how) {
  const { id, kind, text } = came.dataset;
  const field = inHand(kind);
  if (how === 'taken' && !field) return;
  keep([...said(), { id, how, ...(how === 'taken' ? where(field) : {}) }]);
  came.remove();
  if (how === 'taken') enter(field, text);
  tell();
}

export function instruments() {
  const place = document.createElement('div');
  place.setAttribute('role', 'status');
  body.append(place);
  document.addEventListener('focusin', (e) => {
    if (Object.values(FIELDS).some((f) => e.target.matches(f))) last = e.target;
  });
  place.addEventListener('click', (e) => {
    const button = e.target.closest('[data-how]');
    if (button) done(button.closest('.came'), button.dataset.how);
  });
  let shown = '';
  const ask = async () => {
    if (document.hidden) return true;
    await tell();
    const answer = await fetch('/instruments/now', {
      headers: { 'HX-Request': 'true' },
      signal: AbortSignal.timeout(4000),
    }).catch(() => null);
    if (!answer) return true;
    const html = answer.ok ? (await answer.text()).trim() : '';
    if (html !== shown) {
      const focus = place.contains(document.activeElement) ? document.activeElement.dataset.how : null;
      place.innerHTML = html;
      shown = html;
      const waits = said().map((one) => one.id);
      for (const came of place.querySelectorAll('.came')) if (waits.includes(came.dataset.id)) came.remove();
      for (const came of place.querySelectorAll('.came'))
        if (!inHand(came.dataset.kind)) came.querySelector('[data-how=taken]').hidden = true;
      if (focus) place.querySelector(`[data-how=${focus}]`)?.focus();
    }
    if (html === '') localStorage.removeItem('instruments');
    return html !== '';
  };
  const again = async () => {
    if (await ask()) setTimeout(again, EVERY);
  };
  again();
}
