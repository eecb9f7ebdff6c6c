// The token for htmx, what is said when there is no answer, and answers to a form that was drawn again.
import { body, here, notice, quiet, token } from './page.mjs';
import { pressing } from './press.mjs';
import { say } from './say.mjs';

const AFTER = ['htmx:afterRequest', 'htmx:responseError', 'htmx:sendError'];
const minded = new WeakSet();

/**
 * A form may be drawn again, by news of others or by the answer before, while its own answer is on its way. htmx looks for
 * what to replace from the form on and finds nothing, and its events stay outside the page: both go by the body.
 */
function mind(asking) {
  if (minded.has(asking)) return;
  minded.add(asking);
  asking.addEventListener('htmx:beforeOnLoad', (e) => {
    // What was pressed would move away under the hand; the next asking brings the same news.
    const held = asking.id === 'news' && pressing();
    if (held) e.preventDefault();
    if (held || asking.isConnected) return;
    const { xhr } = e.detail;
    if (xhr.status !== 200 && xhr.status !== 422) return;
    e.preventDefault();
    e.detail.successful = xhr.status === 200;
    window.htmx.swap(body, xhr.responseText, { swapStyle: 'none' }, { contextElement: body });
  });
  for (const name of AFTER)
    asking.addEventListener(name, (e) => {
      if (!asking.isConnected && e.target === asking) window.htmx.trigger(body, name, e.detail);
    });
}

/** A fold that was opened before htmx was there: what is in it is asked for as if it were opened now. */
function opened(e) {
  const fold = e.target.matches?.('.later') && e.target.closest('details');
  if (fold?.open) fold.dispatchEvent(new Event('toggle'));
}

export function requests() {
  body.addEventListener('htmx:afterProcessNode', opened);
  body.addEventListener('htmx:configRequest', (e) => {
    if (token && e.detail.verb !== 'get') e.detail.headers[token.dataset.header] = token.content;
    mind(e.detail.elt);
  });
  body.addEventListener('htmx:responseError', (e) => {
    const status = e.detail.xhr.status;
    if (status === 503) return;
    if (status === 401) notice(say('script.ended'), here(), say('script.sign-in'));
    else notice(say('script.refused', { status }), here(), say('script.reload'));
  });
  body.addEventListener('htmx:sendError', (e) => {
    // A reading waits on the device and says so itself, and the asking for news asks again.
    if (!e.detail.requestConfig.elt.matches('.spot, #news')) notice(say('script.no-answer'));
  });
  body.addEventListener('htmx:afterRequest', (e) => {
    if (e.detail.successful && e.detail.requestConfig.verb !== 'get') quiet();
  });
  if (!isSecureContext) notice(say('script.no-https'));
}
