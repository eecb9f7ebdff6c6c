// The walk: type, Enter, next arch. A text is kept on the device until the server has taken it.
import { drafts } from './drafts.mjs';
import { act } from './keys.mjs';
import { freshId, notice } from './page.mjs';
import { queue } from './queue.mjs';
import { say } from './say.mjs';
import { tape } from './tape.mjs';
import { firstWrong } from './wrong.mjs';

const inputs = () => [...document.querySelectorAll('.spot .reading')];
/** No reading here yet. */
const open = (input) => input.value === '' && !input.closest('.arch').classList.contains('taken');
/** What tells a reading of the page from the others: place and method. */
const spot = (form) => form.elements.method.value + ':' + form.elements.corner.value;
const inputAt = (e) =>
  document.querySelector(`.spot[data-corner="${e.corner}"]:has([name=method][value="${e.method}"]) .reading`);

export function walk() {
  const area = document.getElementById('walk');
  const name = (form) => `reading:${area.dataset.sheet}:${spot(form)}`;

  for (const input of inputs()) {
    const kept = drafts.get(name(input.form));
    if (kept && kept.raw !== input.value) {
      input.value = kept.raw;
      input.form.elements.client.value = kept.client;
      dirty(input);
      notice(say('script.reading.back'));
      // It had been sent without an answer: the same text goes again under the same id, and counts once.
      if (kept.sent) {
        input.form.dataset.sent = input.value;
        queue.ready.then(() => {
          if (!queue.has(kept.client)) send(input);
        });
      }
    }
  }
  area.addEventListener('input', (e) => {
    if (!e.target.matches('.reading')) return;
    const form = e.target.form;
    if (form.dataset.sent !== undefined && form.dataset.sent !== e.target.value) {
      form.elements.client.value = freshId();
      delete form.dataset.sent;
    }
    drafts.put(name(form), { raw: e.target.value, client: form.elements.client.value });
    dirty(e.target);
  });

  area.addEventListener('keydown', (e) => {
    if (!e.target.matches('.reading') || e.key !== 'Enter' || e.isComposing) return;
    e.preventDefault();
    take(e.target);
  });
  function take(input) {
    if (input.value.trim() !== '' && (input.value !== input.dataset.kept || input.getAttribute('aria-invalid'))) {
      send(input);
    }
    onward(input);
  }
  // A tap elsewhere sends as well: no button has to be found.
  area.addEventListener('change', (e) => {
    const form = e.target.form;
    if (e.target.matches('.reading') && e.target.value.trim() === '' && e.target.dataset.kept) {
      // An emptied field takes nothing back: undo does. What stands is shown again.
      e.target.value = e.target.dataset.kept;
      drafts.drop(name(form));
      dirty(e.target);
      return;
    }
    if (
      e.target.matches('.reading') &&
      e.target.value.trim() !== '' &&
      form.dataset.sent !== e.target.value &&
      e.target.value !== e.target.dataset.kept
    ) {
      send(e.target);
    }
  });

  function send(input) {
    const form = input.form;
    form.dataset.sent = input.value;
    form.dataset.typed = String(Date.now());
    drafts.put(name(form), { raw: input.value, client: form.elements.client.value, sent: true });
    // What waits goes first: the order in which it was typed is kept.
    if (queue.holding()) hold(form, input.value);
    else form.requestSubmit();
  }

  /** What got no answer waits on the device, sealed, under the same id until it has one. */
  async function hold(form, raw) {
    const { corner: c, method, client } = form.elements;
    const sealed = await queue.put({
      url: form.getAttribute('action'),
      corner: c.value,
      method: method.value,
      raw,
      client: client.value,
      typedAt: Number(form.dataset.typed) || Date.now(),
    });
    if (sealed && drafts.get(name(form))?.client === client.value) drafts.drop(name(form));
  }
  /** What waits is in its field, as it was typed. */
  queue.ready.then(() => {
    for (const e of queue.of(area.dataset.sheet)) {
      const input = inputAt(e);
      if (!input || input.classList.contains('dirty')) continue;
      input.value = e.raw;
      input.form.elements.client.value = e.client;
      input.form.dataset.sent = e.raw;
      dirty(input);
    }
  });
  document.addEventListener('abbex:stored', (e) => {
    for (const r of e.detail.filter((one) => one.raw !== undefined && one.status !== 200)) {
      notice(say('script.reading.refused', { corner: r.corner, read: r.raw }));
      drafts.put(`reading:${r.url.split('/')[4]}:${r.method}:${r.corner}`, { raw: r.raw, client: r.client });
      const input = inputAt(r);
      if (input && r.url.includes(area.dataset.sheet)) {
        delete input.form.dataset.sent;
        input.value = r.raw;
        dirty(input);
      }
    }
    const news = document
      .getElementById('news')
      .getAttribute('hx-get')
      .replace(/stamp=-?\d+/, 'stamp=-1');
    window.htmx.ajax('GET', news, { target: '#news', swap: 'none' });
  });

  function onward(input) {
    const all = inputs();
    const at = all.indexOf(input);
    const next = all.slice(at + 1).find(open) || all[at + 1];
    if (next) {
      next.focus();
      next.select();
      return;
    }
    const left = all.slice(0, at).find(open);
    if (left) left.focus();
    else chip()?.focus();
  }
  const chip = () =>
    document.getElementById('chip-' + document.getElementById('chips').dataset.next) ||
    document.querySelector('.chips [aria-current]');

  // News of others never takes a text that is being typed.
  document.body.addEventListener('htmx:oobBeforeSwap', (e) => {
    const mine = e.detail.target?.querySelector?.('.reading.dirty');
    if (mine && e.detail.target.matches('.arch') && mine.form.dataset.sent !== mine.value) e.detail.shouldSwap = false;
  });

  let held = null;
  document.body.addEventListener('htmx:beforeSwap', () => {
    held = document.activeElement?.id || null;
  });
  document.body.addEventListener('htmx:oobAfterSwap', () => {
    if (held && document.activeElement?.id !== held) document.getElementById(held)?.focus();
  });
  document.body.addEventListener('htmx:afterRequest', (e) => {
    // The form itself may have been replaced by the answer; the request still knows it.
    const form = e.detail.requestConfig?.elt;
    if (form?.id === 'news') return;
    if (!form?.elements?.corner) return;
    const status = e.detail.xhr.status;
    if (form.matches('.spot')) {
      if (status === 0 || status >= 500) {
        hold(form, e.detail.requestConfig.parameters.raw);
        return;
      }
    }
    if (status === 200) {
      const now = inputAt({ corner: form.elements.corner.value, method: form.elements.method.value });
      // The button of an undo goes with its arch: the work goes on in the field that is open again.
      if (form.matches('.undo') && !document.activeElement?.closest('.arch')) now?.focus();
      if (
        form.matches('.undo') ||
        now.value === e.detail.requestConfig.parameters.raw ||
        now.dataset.kept === now.value
      )
        drafts.drop(name(form));
    }
    if (status === 422) {
      // Back to the refused field, unless the next one has already been begun.
      const refused = inputAt({ corner: form.elements.corner.value, method: form.elements.method.value });
      const busy = document.activeElement?.matches('.reading.dirty') && document.activeElement !== refused;
      if (!busy) refused?.focus();
    }
  });

  const undo = () => {
    const here =
      document.activeElement?.closest('.arch') ||
      [...document.querySelectorAll('.arch')].reverse().find((a) => a.querySelector('.undo'));
    const own = here?.querySelector('.undo') ? here : here?.previousElementSibling;
    own?.querySelector('.undo')?.requestSubmit();
    own?.querySelector('.reading')?.focus();
  };
  act('u', undo);
  act('s', () => document.querySelector('#again button')?.click());
  document.querySelector('.chips [aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  act('m', () => {
    const all = [...document.querySelectorAll('.chips a:not(.turn)')];
    const at = all.findIndex((a) => a.getAttribute('aria-current'));
    all[(at + 1) % all.length].click();
  });
  // What was typed before this script was there is kept as well, and whoever types already is not sent elsewhere.
  for (const input of inputs()) {
    if (
      input.value === (input.dataset.kept || '') ||
      input.classList.contains('dirty') ||
      input.getAttribute('aria-invalid')
    )
      continue;
    // Enter was faster than this script: it is on its way already, and its answer may take the field.
    if (input.form.classList.contains('htmx-request')) input.form.dataset.sent = input.value;
    else input.dispatchEvent(new Event('input', { bubbles: true }));
  }
  const first =
    inputs().find((i) => i.getAttribute('aria-invalid')) ||
    inputs().find((i) => i.classList.contains('dirty')) ||
    inputs().find(open) ||
    null;
  // Whoever is at work already, at a fold or a way, is not sent elsewhere.
  const idle = !document.activeElement || document.activeElement.matches('body, main');
  if (first && !firstWrong() && idle) first.focus();
  /** The way to the next round once this one is read; nothing before. */
  const next = () => {
    const way = document.getElementById('chip-' + document.getElementById('chips').dataset.next);
    return way && !way.getAttribute('aria-current') && !inputs().some(open) ? way : null;
  };
  tape({ area, take, undo, next });
}

/** The field shows the typed text instead of the reading that stands, until it is taken. */
function dirty(input) {
  input.classList.toggle('dirty', input.value !== (input.dataset.kept || ''));
}
