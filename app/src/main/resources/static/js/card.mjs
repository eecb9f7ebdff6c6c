// A card: what is written on it is sent where it stands, and waits on the device while there is no network.
import { drafts } from './drafts.mjs';
import { keepNext } from './kept.mjs';
import { freshId, notice } from './page.mjs';
import { small } from './photo.mjs';
import { queue } from './queue.mjs';
import { say } from './say.mjs';
import { measureFiles, showWrong } from './wrong.mjs';

let view;
let job;
let step;
let asks;
let last;
const pageOf = (key) => `/jobs/${job}/fit${key ? '/' + key : ''}`;
const known = () => `abbex:card:${job}`;

/** What steps were open when the network was last there: a page of the device may be older. */
function newest() {
  const here = asks ?? view;
  const mine = { stamp: Number(here.dataset.stamp), open: (here.dataset.open ?? '').split(' ').filter((k) => k) };
  if (here.dataset.open === undefined) return mine;
  try {
    const had = JSON.parse(localStorage.getItem(known()));
    if (had && had.stamp > mine.stamp) return had;
    localStorage.setItem(known(), JSON.stringify(mine));
  } catch {
    /* storage full or forbidden: the page itself is what is known */
  }
  return mine;
}
/** What waits is more certain than what the browser makes of its networks: one that leads nowhere is one to it. */
const alone = () => !navigator.onLine || queue.holding();
const waiting = () => queue.ofCard(job);
const settles = (e) => ['TICKED', 'OTHERWISE', 'CLOSE'].includes(e.fields.what) || e.fields.then === 'done';
const open = () => {
  const settled = new Set(
    waiting()
      .filter(settles)
      .map((e) => e.step),
  );
  return last.open.filter((key) => !settled.has(key));
};
const waits = (what, item) =>
  waiting().some((e) => e.step === step && e.fields.what === what && (e.fields.item ?? '') === item);

function met(li) {
  const { what, item = '', step: other, met: was } = li.dataset;
  if (other) return !open().includes(other);
  return was === 'true' || waits(what, item);
}

/** A field by its name: the list of a form's fields has an item of its own. */
const field = (form, name) => form.querySelector(`[name=${name}]`);

const tag = (name, type, text) => {
  const made = document.createElement(name);
  made.className = type;
  made.textContent = text;
  return made;
};

/** Without a network the large button names the first thing that is open. */
function button() {
  const first = [...asks.children].find((li) => !met(li));
  if (!first || first.dataset.step) {
    const way = tag('a', 'btn btn-primary act', first ? first.textContent : asks.dataset.go);
    way.href = pageOf(first ? first.dataset.step : open()[0]);
    return way;
  }
  const { what, item = '' } = first.dataset;
  if (!['HELD', 'HOLDS', 'TIGHT', 'TICKED', 'CLOSE'].includes(what)) return tag('p', 'btn act wait', first.textContent);
  const form = document.getElementById('press').content.firstElementChild.cloneNode(true);
  field(form, 'what').value = what;
  field(form, 'item').value = item;
  form.querySelector('button').textContent = first.textContent;
  return form;
}

function waitSign(form) {
  if (!form || form.querySelector('.waits')) return;
  form.append(tag('small', 'waits', say('script.card.here')));
}

/** What waits is on the page as it was entered. */
function show() {
  if (!asks) return;
  // What a thread cannot bear is asked about by the server; where that cannot be reached it is said beforehand.
  if (alone()) for (const sure of view.querySelectorAll('.sure')) sure.hidden = false;
  const mine = waiting().filter((e) => e.step === step);
  if (!alone() && last.stamp <= Number(asks.dataset.stamp)) return;
  // A row of steps is counted by the server.
  for (const row of view.querySelectorAll('.together, #together, .fate-all')) row.remove();
  const act = view.querySelector('.baybar .act');
  const old = act.closest('form') ?? act;
  const now = button();
  old.replaceWith(now);
  now.querySelector?.('button')?.focus();
  for (const e of mine) {
    const { what, item = '' } = e.fields;
    if (what === 'HOLDS') for (const li of view.querySelectorAll('.holds li')) li.classList.add('held');
    if (what === 'HELD') view.querySelectorAll('.holds li')[Number(item)]?.classList.add('held');
    const form = formOf(what, item);
    waitSign(form);
    if (what === 'SPEC') form?.closest('.fastener').querySelector('.tighten')?.removeAttribute('hidden');
  }
  places();
}

/** Parts that will lie on the bench once what waits is so. */
function places() {
  const bench = view.querySelector('.bench');
  if (!bench) return;
  const rows = [...asks.children].filter((li) => li.dataset.what === 'PLACED');
  const ready = [...asks.children].filter((li) => li.dataset.step).every(met);
  for (const li of rows) formOf('PLACED', li.dataset.item).hidden = !ready || met(li);
  bench.hidden = !ready || rows.every(met);
}

const formOf = (what, item) =>
  [...view.querySelectorAll('form')].find(
    (f) => field(f, 'what')?.value === what && (field(f, 'item')?.value ?? '') === item,
  );

/** An entry as the queue keeps it. */
async function entry(form, submitter) {
  const data = new FormData(form, submitter);
  const file = data.get('photo');
  const fields = Object.fromEntries([...data].filter(([name]) => !['client', '_csrf', '_sent', 'photo'].includes(name)));
  const photo = file?.size ? { photo: await small(file) } : {};
  if (file?.size) fields.what ??= 'CAPTURED';
  const url = form.getAttribute('action');
  return {
    url,
    fields,
    ...photo,
    step,
    client: freshId(),
    typedAt: Date.now(),
    where: view.dataset.where,
    page: pageOf(step),
  };
}

async function hold(e) {
  await queue.put(e);
  if (settles(e)) location.href = pageOf(open()[0]);
  else show();
}

const busy = new WeakSet();
async function submit(form, submitter) {
  let e = null;
  try {
    e = await entry(form, submitter);
  } catch {
    // No picture that this browser can show: what it is is said by the server.
    native(form, submitter);
    return;
  }
  if (alone()) return hold(e);
  const { status, to } = await queue.send(e);
  if (status === 200 && to) await turn(to);
  else if (status === 0 || status >= 500 || [401, 403, 412].includes(status)) {
    await hold(e);
    queue.drain();
  } else native(form, submitter);
}
/** As without scripts: the page that comes back says what is wrong. */
function native(form, submitter) {
  form.dataset.native = 'true';
  form.requestSubmit(submitter);
}

/** Goes on to a step without loading all of the page again. What cannot be had so is loaded whole. */
async function turn(to) {
  let next = null;
  try {
    const answer = await fetch(to, { signal: AbortSignal.timeout(8000) });
    next = answer.ok && !answer.redirected && new DOMParser().parseFromString(await answer.text(), 'text/html');
  } catch {
    /* no way to it: the browser says so, or the device has it */
  }
  if (!next || !next.querySelector('main.bayview')) {
    location.href = to;
    return;
  }
  const same = to === location.pathname;
  for (const part of ['main', '.strip']) {
    const fresh = next.querySelector(part);
    if (fresh) document.querySelector(part)?.replaceWith(document.adoptNode(fresh));
  }
  document.title = next.title;
  if (!same) {
    history.pushState(null, '', to);
    scrollTo(0, 0);
  }
  begin();
  measureFiles();
  showWrong();
  (document.getElementById('act') ?? view).focus();
  if (!same)
    keepNext(
      job,
      open().filter((key) => key !== step),
    );
}

export async function card() {
  await queue.ready;
  begin();
  // Back and forward are pages of their own.
  addEventListener('popstate', () => location.reload());
  document.addEventListener('abbex:stored', (e) => {
    const mine = e.detail.filter((one) => one.fields && one.url.startsWith(`/jobs/${job}/`));
    // A page that says why something was refused stays; one whose entries were all taken is shown as they stand.
    if (mine.length && mine.every((one) => one.status === 200) && !queue.ofCard(job).length) location.reload();
  });
}

function begin() {
  view = document.querySelector('.bayview, .fit');
  ({ job, step } = view.dataset);
  asks = document.getElementById('asks');
  last = newest();
  view.addEventListener('submit', async (e) => {
    if (e.target.dataset.native || !field(e.target, 'client')) return;
    e.preventDefault();
    if (busy.has(e.target)) return;
    busy.add(e.target);
    try {
      await submit(e.target, e.submitter);
    } finally {
      busy.delete(e.target);
    }
  });
  if (asks) {
    back();
    show();
  } else list();
  view.dataset.ready = 'true';
}

/** Texts that were refused once the network was back. */
function back() {
  for (const form of view.querySelectorAll('form')) {
    const name = `card:${form.getAttribute('action')}:${field(form, 'what')?.value}:${field(form, 'item')?.value ?? ''}`;
    const kept = drafts.get(name);
    if (!kept) continue;
    for (const f of form.elements) if (f.name in kept && f.type !== 'hidden' && f.matches('input, select')) f.value = kept[f.name];
    form.closest('details')?.setAttribute('open', '');
    drafts.drop(name);
    notice(say('script.draft.back'));
  }
}

/** The whole card: what waits is marked, and the way on leads past it. */
function list() {
  const still = new Set(open());
  for (const li of view.querySelectorAll('li[data-key]')) {
    if (waiting().some((e) => e.step === li.dataset.key)) li.append(tag('small', 'waits', say('script.card.here')));
  }
  const on = view.querySelector('.fithead .big');
  if (on && still.size && !still.has(decodeURIComponent(on.pathname.split('/').pop()))) on.href = pageOf([...still][0]);
}
