// A form that came back: the first field that is wrong has the focus, with its fold open.
export function firstWrong() {
  return document.querySelector('[aria-invalid=true]:not(.reading)');
}

export function showWrong() {
  const wrong = firstWrong();
  if (!wrong || document.activeElement?.matches('input, select, textarea')) return;
  for (let fold = wrong.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
  wrong.focus();
}
