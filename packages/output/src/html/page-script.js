// Shows the slides one at a time, all at once, or facing their notes. Two windows of the file go in step by messages,
// which files from a disk may send each other, too.
(() => {
  'use strict';
  const { body } = document;
  const slides = [...document.querySelectorAll('.slide')];
  const find = (selector) => document.querySelector(selector);
  const where = find('.where');
  // All of a deck may be hidden.
  if (slides.length === 0) return;
  const speaks = location.hash === '#speaker';
  /** The other window: whom the speaker's window speaks for, or the reverse. */
  let other = speaks ? window.opener : null;
  let at = 0;
  /** How many of the points that come one after the other are seen. */
  let step = 0;
  let digits = '';
  let since = Date.now();
  let view = speaks ? 'speaker' : 'one';

  const stepsOf = (slide) =>
    Math.max(0, ...[...slide.querySelectorAll('[data-step]')].map((one) => Number(one.dataset.step)));
  const numberIn = (hash) => slides.findIndex((slide) => `#${slide.id}` === hash);
  /** The slide of a number, the next one where that is hidden. */
  const numbered = (wanted) => {
    const found = slides.findIndex(({ dataset }) => Number(dataset.number) >= wanted);
    return found < 0 ? slides.length - 1 : found;
  };
  const say = (message) => other?.postMessage({ alvex: 'slides', ...message }, '*');

  function draw(focus) {
    body.classList.remove('one', 'all', 'speaker');
    body.classList.add(view);
    slides.forEach((slide, i) => {
      slide.classList.toggle('now', i === at);
      slide.classList.toggle('then', i === at + 1);
    });
    for (const one of slides[at].querySelectorAll('[data-step]'))
      one.classList.toggle('later', view === 'one' && Number(one.dataset.step) > step);
    where.textContent = `${at + 1} / ${slides.length}`;
    find('.back').disabled = at === 0 && step === 0;
    find('.next').disabled = at === slides.length - 1 && step >= stepsOf(slides[at]);
    find('.see-all').setAttribute('aria-pressed', String(view === 'all'));
    const notes = slides[at].querySelector('.notes');
    find('.no-notes').classList.toggle('seen', notes === null);
    const upNext = find('.up-next');
    upNext.textContent = at === slides.length - 1 ? upNext.dataset.last : upNext.dataset.next;
    if (view === 'all') slides[at].scrollIntoView({ block: 'nearest' });
    if (focus) (view === 'all' ? slides[at].querySelector('.go') : slides[at]).focus({ preventScroll: view !== 'all' });
  }

  function go(to, told = true, seen = 0) {
    step = seen;
    at = Math.max(0, Math.min(slides.length - 1, to));
    digits = '';
    light('');
    if (!speaks) history.replaceState(null, '', `#${slides[at].id}`);
    draw(true);
    if (told) say({ at, step });
  }

  /** Points come before the next slide does; who goes back sees what was seen. */
  function next() {
    if (view === 'all' || step >= stepsOf(slides[at])) return go(at + 1);
    shift(step + 1);
  }
  function back() {
    if (view === 'all' || step === 0) return at > 0 && go(at - 1, true, stepsOf(slides[at - 1]));
    shift(step - 1);
  }
  function shift(to, told = true) {
    step = to;
    draw(false);
    if (told) say({ at, step });
  }

  function light(screen, told = true) {
    body.classList.toggle('dark', screen === 'dark');
    body.classList.toggle('light', screen === 'light');
    if (told && screen !== '') say({ screen });
  }

  function see(next) {
    view = next;
    draw(true);
  }

  const screen = (name) => {
    const on = !body.classList.contains(name);
    light(on ? name : '');
    if (!on) say({ screen: '' });
  };
  const fill = () =>
    document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen();
  const openSpeaker = () => {
    if (speaks || find('.open-speaker') === null) return;
    other = window.open(`${location.href.replace(/#.*/, '')}#speaker`, 'speaker', 'popup,width=1100,height=700');
  };
  const usual = speaks ? 'speaker' : 'one';
  const KEYS = {
    ArrowRight: next,
    ArrowDown: next,
    PageDown: next,
    ' ': next,
    ArrowLeft: back,
    ArrowUp: back,
    PageUp: back,
    Backspace: back,
    Home: () => go(0),
    End: () => go(slides.length - 1),
    Enter: () => (digits === '' ? next() : go(numbered(Number(digits)))),
    Escape: () => (view === usual ? light('') : see(usual)),
    a: () => see(view === 'all' ? usual : 'all'),
    b: () => screen('dark'),
    w: () => screen('light'),
    f: () => void fill(),
    n: openSpeaker,
  };

  addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    // On a control these press it; among all slides arrows and Tab move the focus.
    if (event.target.closest?.('button, a') && (event.key === ' ' || event.key === 'Enter')) return;
    if (/^\d$/.test(event.key)) {
      digits = (digits + event.key).slice(-4);
      return;
    }
    const act = KEYS[event.key] ?? KEYS[event.key.toLowerCase()];
    if (act === undefined) return;
    event.preventDefault();
    act();
  });

  let touch = null;
  addEventListener(
    'touchstart',
    ({ touches }) => (touch = touches.length === 1 ? [touches[0].clientX, touches[0].clientY] : null),
    { passive: true },
  );
  addEventListener(
    'touchend',
    ({ changedTouches }) => {
      if (touch === null || view === 'all') return;
      const [x, y] = [changedTouches[0].clientX - touch[0], changedTouches[0].clientY - touch[1]];
      if (Math.abs(x) > 50 && Math.abs(x) > 2 * Math.abs(y)) (x < 0 === (document.dir !== 'rtl') ? next : back)();
    },
    { passive: true },
  );

  find('.back').addEventListener('click', back);
  find('.next').addEventListener('click', next);
  find('.see-all').addEventListener('click', KEYS.a);
  find('.open-speaker')?.addEventListener('click', openSpeaker);
  find('.fill').addEventListener('click', () => void fill());
  find('.restart')?.addEventListener('click', () => (since = Date.now()));
  find('main').addEventListener('click', (event) => {
    const link = event.target.closest('a');
    const slide = event.target.closest('.slide');
    if (link?.target === '_blank') return;
    const to = link === null ? -1 : numberIn(link.getAttribute('href'));
    if (to >= 0) {
      event.preventDefault();
      if (view === 'all') view = usual;
      go(to);
    } else if (view === 'one' && slide !== null && getSelection().isCollapsed) next();
  });
  addEventListener('hashchange', () => {
    const to = numberIn(location.hash);
    if (to >= 0 && to !== at) go(to);
  });
  document.addEventListener('fullscreenchange', () =>
    body.classList.toggle('bare', document.fullscreenElement !== null),
  );

  addEventListener('message', ({ source, data }) => {
    if (data?.alvex !== 'slides' || source === null || (other !== null && source !== other)) return;
    other = source;
    if (data.asks === true) say({ at, step });
    if (typeof data.at === 'number')
      if (data.at === at) shift(data.step ?? 0, false);
      else go(data.at, false, data.step ?? 0);
    if (typeof data.screen === 'string') light(data.screen, false);
  });

  const clock = find('.clock time');
  setInterval(() => {
    const seconds = Math.floor((Date.now() - since) / 1000);
    clock.textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  }, 500);

  body.classList.add('runs');
  const start = numberIn(location.hash);
  at = start < 0 ? 0 : start;
  if (speaks) {
    find('.open-speaker')?.remove();
    say({ asks: true });
  }
  draw(false);
})();
