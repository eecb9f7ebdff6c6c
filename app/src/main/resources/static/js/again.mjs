// What could not be stored is sent again, as it was and under the same ids, until there is an answer.
const form = document.querySelector('form[data-again]');
if (form) setTimeout(() => form.submit(), 3000);
