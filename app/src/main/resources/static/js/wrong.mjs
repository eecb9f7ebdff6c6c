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

// What stands in a list meanwhile is said as the list says it.
function nameChoices() {
  for (const offer of document.querySelectorAll('.bad .offer')) {
    const { for: of, offer: code } = offer.dataset;
    const field = document.getElementById(of);
    const choice = field?.matches('select') && [...field.options].find((o) => o.value === code);
    if (!choice) continue;
    for (const part of [offer, offer.previousElementSibling])
      part.textContent = part.textContent.replace(code, choice.textContent.trim());
  }
}

export function showWrong() {
  nameFields();
  nameChoices();
  const wrong = firstWrong();
  if (!wrong || document.activeElement?.matches('input, select, textarea')) return;
  for (let fold = wrong.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
  wrong.focus();
}

// A file that is too large says so where it is chosen, before anything is sent.
export function measureFiles() {
  for (const file of document.querySelectorAll('input[type=file][data-most]')) {
    file.addEventListener('change', () => {
      const large = file.files[0]?.size > Number(file.dataset.most);
      file.setCustomValidity(large ? file.dataset.large : '');
      file.reportValidity();
    });
  }
}
