// Choices that act at once: a select that is a way, a print, an offer that takes its text.
import { drafts, nameOf } from './drafts.mjs';
import { token } from './page.mjs';

function take(offer) {
  const field = document.getElementById(offer.dataset.for);
  field.value = offer.dataset.offer;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.focus();
}

/** What is blank in a group of fields takes what the sheet before says; it counts once it is saved. */
function sameAsBefore(form, group) {
  for (const field of form.querySelectorAll('[data-before]')) {
    if (field.value !== '' || !field.name.startsWith(group)) continue;
    field.value = field.dataset.before;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
}

/** A version that goes to paper is not taken back any more; said however printing was begun. */
function toPaper() {
  const print = document.querySelector('[data-printed]');
  if (!print) return;
  fetch(print.dataset.printed, { method: 'POST', keepalive: true, headers: { [token.dataset.header]: token.content } });
  delete print.dataset.printed;
}

export function choices() {
  window.addEventListener('beforeprint', toPaper);
  document.addEventListener('change', (e) => {
    if (e.target.matches('select[data-go]')) e.target.form.requestSubmit();
  });
  document.addEventListener('click', (e) => {
    const print = e.target.closest('[data-print]');
    if (print) {
      window.print();
      return;
    }
    const instead = e.target.closest('[data-instead]');
    if (instead) {
      drafts.drop(nameOf(instead.closest('form')));
      return;
    }
    const same = e.target.closest('[data-same]');
    if (same) sameAsBefore(same.form, same.dataset.same);
    const fill = e.target.closest('[data-fill]');
    if (fill) {
      const field = document.getElementById(fill.dataset.for);
      field.value = fill.dataset.fill;
      field.dispatchEvent(new Event('input', { bubbles: true }));
    }
    const offer = e.target.closest('.offer');
    if (offer) take(offer);
  });
}
