// Choices that act at once: a select that is a way, a print, an offer that takes its text.
import { drafts, nameOf } from './drafts.mjs';

function take(offer) {
  const field = document.getElementById(offer.dataset.for);
  field.value = offer.dataset.offer;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.focus();
}

export function choices() {
  document.addEventListener('change', (e) => {
    if (e.target.matches('select[data-go]')) e.target.form.requestSubmit();
  });
  document.addEventListener('click', (e) => {
    if (e.target.closest('[data-print]')) {
      window.print();
      return;
    }
    const instead = e.target.closest('[data-instead]');
    if (instead) {
      drafts.drop(nameOf(instead.closest('form')));
      return;
    }
    const offer = e.target.closest('.offer');
    if (offer) take(offer);
  });
}
