// The pad for a PIN: a tap on initials or a digit leads on; a keyboard types into the field as ever.
export function pad(pin) {
  pin.form.addEventListener('change', (e) => {
    if (e.target.name === 'to') pin.focus();
  });
  pin.form.addEventListener('click', (e) => {
    const digit = e.target.closest('[data-digit]')?.dataset.digit;
    if (!digit) return;
    pin.value = digit === 'back' ? pin.value.slice(0, -1) : (pin.value + digit).slice(0, 8);
    pin.focus();
  });
}
