// The token for htmx, and what is said when an answer is none.
import { body, here, notice, quiet, token } from './page.mjs';
import { say } from './say.mjs';

export function requests() {
  body.addEventListener('htmx:configRequest', (e) => {
    if (token && e.detail.verb !== 'get') e.detail.headers[token.dataset.header] = token.content;
  });
  body.addEventListener('htmx:responseError', (e) => {
    const status = e.detail.xhr.status;
    if (status === 503) return;
    if (status === 401) notice(say('script.ended'), here(), say('script.sign-in'));
    else notice(say('script.refused', { status }), here(), say('script.reload'));
  });
  body.addEventListener('htmx:sendError', (e) => {
    // A reading waits on the device and says so itself, and the asking for news asks again.
    if (!e.detail.elt.matches('.spot, #news')) notice(say('script.no-answer'));
  });
  body.addEventListener('htmx:afterRequest', (e) => {
    if (e.detail.successful && e.detail.requestConfig.verb !== 'get') quiet();
  });
  if (!isSecureContext) notice(say('script.no-https'));
}
