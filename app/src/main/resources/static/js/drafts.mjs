// Texts kept on the device until the server has them; each belongs to the person who typed it, and is sealed for that one.
import { freshId, notice, person } from './page.mjs';
import { say } from './say.mjs';
import { seal, seals, unseal } from './seal.mjs';

const MINE = `abbex:${person}:`;

/** As text, because that is all the browser's store holds. */
const written = ({ iv, data }) => btoa(String.fromCharCode(...iv, ...new Uint8Array(data)));
function read(text) {
  const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
  return { iv: bytes.slice(0, 12), data: bytes.slice(12) };
}

/** What was kept, opened: read when the page comes, written behind what is typed, in its order. */
const texts = new Map();
let behind = Promise.resolve();
async function store(name) {
  try {
    if (texts.has(name)) localStorage.setItem(MINE + name, written(await seal(texts.get(name))));
    else localStorage.removeItem(MINE + name);
  } catch {
    /* storage full or forbidden, or nothing to seal with: the field still holds it */
  }
}
async function open(name, text) {
  try {
    texts.set(name, text.startsWith('{') ? JSON.parse(text) : await unseal(read(text)));
    // Of a former version, which did not seal.
    if (text.startsWith('{')) await store(name);
  } catch {
    /* sealed with another key: not this person's */
  }
}
if (person && seals) {
  const all = Object.entries({ ...localStorage }).filter(([key]) => key.startsWith(MINE));
  await Promise.all(all.map(([key, text]) => open(key.slice(MINE.length), text)));
  // Another tab's.
  addEventListener('storage', (e) => {
    if (!e.key?.startsWith(MINE)) return;
    if (e.newValue === null) texts.delete(e.key.slice(MINE.length));
    else open(e.key.slice(MINE.length), e.newValue);
  });
}

export const drafts = {
  get: (name) => texts.get(name) ?? null,
  put(name, value) {
    texts.set(name, value);
    behind = behind.then(() => store(name));
  },
  drop(name) {
    texts.delete(name);
    behind = behind.then(() => store(name));
  },
};

export const nameOf = (form) => form.dataset.draft + ':' + form.dataset.draftId;

/** Puts a kept text, or what was chosen, back into its field; true when that changed anything. */
function restore(f, value) {
  const choice = f.type === 'radio' || f.type === 'checkbox';
  const now = choice ? f.checked : f.value;
  const then = f.type === 'radio' ? f.value === value : value;
  if (choice) f.checked = then;
  else f.value = then;
  return now !== then;
}

/** Whether somebody has been at a field since the page came: what is typed now is newer than what was kept. */
function touched(f) {
  if (f.type === 'radio' || f.type === 'checkbox') return f.checked !== f.defaultChecked;
  if (f.options) return [...f.options].some((o) => o.defaultSelected) && !f.options[f.selectedIndex]?.defaultSelected;
  return f.value !== f.defaultValue;
}

const fields = (form) => [...form.elements].filter((f) => f.name && f.type !== 'hidden' && !f.name.startsWith('_'));

function typed(form) {
  const all = fields(form)
    .filter((f) => f.type !== 'radio' || f.checked)
    .map((f) => [f.name, f.type === 'checkbox' ? f.checked : f.value]);
  return { ...Object.fromEntries(all), job: form.elements.job?.value };
}

function bring(form, kept) {
  let changed = false;
  for (const f of fields(form)) {
    if (kept[f.name] !== undefined && !touched(f) && restore(f, kept[f.name])) changed = true;
  }
  if (kept.job && form.elements.job && form.dataset.draftId === 'new') form.elements.job.value = kept.job;
  if (changed) notice(say('script.draft.back'));
}

const NEW = 'arrive:new';
const ASIDE = 'arrive:aside';
/** No shop has more vehicles half received on one device (ours). */
const MOST = 5;

const unfinished = () => [drafts.get(NEW), ...(drafts.get(ASIDE) ?? [])].filter((one) => one?.plate || one?.name);
const called = ({ plate, name, customer }) => [plate, name, customer].filter((text) => text).join(', ');
const wayTo = (one) => '/arrive?unfinished=' + encodeURIComponent(one.job ?? '');

/** An unfinished arrival stays with its plate: it comes back after a reload, or where somebody goes on with it. */
function arriving(form) {
  const here = drafts.get(NEW);
  const [visit] = performance.getEntriesByType('navigation');
  if (form.dataset.unfit || ['reload', 'back_forward'].includes(visit?.type)) return here;
  const want = new URLSearchParams(location.search).get('unfinished');
  const all = unfinished();
  const mine = want === null ? null : all.find((one) => (one.job ?? '') === want);
  const others = all.filter((one) => one !== mine).slice(0, MOST);
  if (here || mine) {
    drafts.put(ASIDE, others);
    if (mine) drafts.put(NEW, mine);
    else drafts.drop(NEW);
  }
  form.before(...others.map(aside));
  return mine;
}

/** Go on or discard. */
function aside(one) {
  const line = document.createElement('p');
  const go = document.createElement('a');
  const off = document.createElement('button');
  line.classList.add('say', 'unfinished');
  line.append(say('script.draft.arrive', { what: called(one) }), ' ', go, ' ', off);
  Object.assign(go, { href: wayTo(one), className: 'btn btn-primary', textContent: say('script.draft.arrive.go') });
  Object.assign(off, { type: 'button', className: 'btn btn-outline-primary', textContent: say('script.draft.off') });
  off.addEventListener('click', () => {
    drafts.put(
      ASIDE,
      (drafts.get(ASIDE) ?? []).filter((other) => other.job !== one.job),
    );
    line.remove();
  });
  return line;
}

const keeping = new WeakSet();

function keep(form) {
  if (keeping.has(form)) return;
  keeping.add(form);
  // What was typed before a customer was deleted is not brought back.
  if (form.dataset.draftGone) drafts.drop(form.dataset.draftGone);
  const kept = form.dataset.draftId === 'new' ? arriving(form) : drafts.get(nameOf(form));
  if (kept && person) bring(form, kept);
  form.addEventListener('input', () => drafts.put(nameOf(form), typed(form)));
}

const SENT = 'abbex:sent';
const STORED = 'abbex-stored-';

const onTheWay = () => JSON.parse(sessionStorage.getItem(SENT) ?? '{}');

/** What is sent has an id, which counts once; under it the server says that it is stored. */
function send(form) {
  if (!form.elements._keeps) {
    const field = form.appendChild(document.createElement('input'));
    Object.assign(field, { type: 'hidden', name: '_keeps', value: '1' });
  }
  sessionStorage.setItem(SENT, JSON.stringify({ ...onTheWay(), [form.elements._sent.value]: nameOf(form) }));
}

/** What was answered counted; a form that still stands on the page sends another act the next time. */
function renew(form) {
  if (form?.elements?._sent) form.elements._sent.value = freshId();
}

/** What the server has said to be stored is let go of, and nothing else: an error page is no answer. */
function letGo() {
  const sent = onTheWay();
  for (const id of Object.keys(sent)) {
    if (!document.cookie.includes(`${STORED}${id}=1`)) continue;
    drafts.drop(sent[id]);
    delete sent[id];
    document.cookie = `${STORED}${id}=; Max-Age=0; Path=/`;
  }
  sessionStorage.setItem(SENT, JSON.stringify(sent));
}

/** Every form that names a draft keeps what is typed into it. */
export function keepForms() {
  if (person) letGo();
  // Before anything else hears of it, so that it goes along.
  document.addEventListener('submit', (e) => e.target.matches('form[data-draft]') && send(e.target), true);
  document.addEventListener('htmx:afterRequest', (e) => {
    letGo();
    if (e.detail.successful) renew(e.detail.elt.closest('form'));
  });
  document.querySelectorAll('form[data-draft]').forEach(keep);
  // One that came when it was unfolded keeps as well.
  document.addEventListener('htmx:load', (e) => {
    if (e.detail.elt.matches('form[data-draft]')) keep(e.detail.elt);
    e.detail.elt.querySelectorAll('form[data-draft]').forEach(keep);
  });
  const [first] = unfinished();
  if (person && location.pathname === '/' && first) {
    notice(say('script.draft.arrive', { what: called(first) }), wayTo(first), say('script.draft.arrive.go'));
  }
}
