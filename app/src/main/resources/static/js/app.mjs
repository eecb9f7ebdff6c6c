// What every page begins with; what only some need is fetched where it is needed.
import { choices } from './choices.mjs';
import { keepForms } from './drafts.mjs';
import { find } from './find.mjs';
import { keepPages } from './kept.mjs';
import { keys } from './keys.mjs';
import { leaving } from './left.mjs';
import { person } from './page.mjs';
import { requests } from './requests.mjs';
import { measureFiles, showWrong } from './wrong.mjs';

requests();
keepForms();
showWrong();
measureFiles();
choices();
keys();
find();
keepPages();
if (person) leaving();

const pin = document.querySelector('.hands #pin');
if (pin) import('./pin.mjs').then((m) => m.pad(pin));
if (person) import('./queue.mjs');
if (document.querySelector('.in-hand li')) localStorage.setItem('instruments', '1');
if (person && localStorage.getItem('instruments')) import('./instruments.mjs').then((m) => m.instruments());
if (document.getElementById('board')) import('./floor.mjs').then((m) => m.floor());
if (document.querySelector('.day-drawing')) import('./day.mjs').then((m) => m.day());
if (document.querySelector('.bayview, .fit[data-open]')) import('./card.mjs').then((m) => m.card());
if (document.getElementById('walk')) import('./measure.mjs').then((m) => m.walk());
if (document.getElementById('hand')) import('./cut.mjs').then((m) => m.hand());
if (document.getElementById('roadwheels')) import('./road.mjs').then((m) => m.road());
if (document.getElementById('lowform')) import('./ground.mjs').then((m) => m.ground());
if (document.querySelector('.thumbs')) import('./wheels.mjs').then((m) => m.wheels());
if (document.getElementById('bench')) import('./plan.mjs').then((m) => m.plan());
