// A form that came back: the first field that is wrong has the focus, with its fold open.
export function firstWrong() {
  return document.querySelector('[aria-invalid=true]:not(.reading)');
}

// What is said at the top names each field as its label does.
function nameFields() {
  for (const link of document.querySelectorAll('.notsaved a')) {
    const label = document.querySelector(`label[for="${CSS.escape(link.hash.slice(1))}"]`);
    if (label) link.prepend(`${label.textContent.trim()}: `);
  }
}

export function showWrong() {
  nameFields();
  const wrong = firstWrong();
  if (!wrong || document.activeElement?.matches('input, select, textarea')) return;
  for (let fold = wrong.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
  wrong.focus();
}
