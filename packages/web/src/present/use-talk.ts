/** The talk of the open deck: its state, and the audience's window that follows it. */
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { SlideId } from '@alvex/core';
import { usePage } from '../state/use-page.ts';
import { t } from '../words/words.ts';
import type { Pages } from '../worker/shown.ts';
import { TalkLine, type SlideToShow, type SpeakerSays, type StageSays } from './channel.ts';
import { keepTalk, resumedTalk, type Mode } from './kept-talk.ts';
import { useStrokes } from './use-strokes.ts';
import { placeOfSlide, shownSlides, talkSlides, type ShownSlide } from './shown-slides.ts';
import type { Drawn, Place } from './strokes.ts';
import { moved, moveOf, withSlides, type Move, type Talk } from './talk.ts';

/** @param from Number of the slide that it begins with; null for the first, or where it was left. */
export function useTalk(deck: string, mode: Mode, pages: Pages, from: number | null) {
  const slides = useMemo(() => shownSlides(pages), [pages]);
  const [talk, setTalk] = useState<Talk>(() => resumedTalk(deck, mode, slides, from));
  const [spot, setSpot] = useState<Place | null>(null);
  const [audience, setAudience] = useState(false);
  const move = useCallback((made: Move) => setTalk((before) => moved(before, made, Date.now())), []);

  // Slides that come or go while one speaks leave the one that is seen where it is.
  const placed = useRef(slides);
  useEffect(() => {
    const before = placed.current;
    placed.current = slides;
    if (before === slides) return;
    // What was moved to meanwhile counts: the slide is looked up where the talk stands, not where it stood when this began.
    setTalk((now) => {
      const at = slides.findIndex(({ key }) => key === before[now.at]?.key);
      return withSlides(now, talkSlides(slides), at < 0 ? now.at : at);
    });
  }, [slides]);
  const follow = useCallback(
    (to: SlideId) => {
      const at = placeOfSlide(placed.current, to);
      if (at !== undefined) move({ move: 'go', to: at });
    },
    [move],
  );
  const here = slides[Math.min(talk.at, slides.length - 1)]!;
  useEffect(() => {
    if (talk.since !== null) keepTalk(deck, mode, { key: here.key, talk });
  }, [deck, mode, here.key, talk]);

  const { strokes, draw: drawHere } = useStrokes(here.key);
  const slide = useSlide(here);
  const step = here.steps > 0 ? talk.step : null;
  const now = useMemo(() => (slide === null || step === null ? slide : { ...slide, step }), [slide, step]);
  const next = useSlide(slides[talk.at + 1] ?? here);
  useSlide(slides[talk.at + 2] ?? here);
  const said = useMemo<SpeakerSays | null>(
    () => (now === null ? null : { says: 'show', now, next, screen: talk.screen }),
    [now, next, talk.screen],
  );
  const line = useAudience(deck, said, move, follow, setAudience);
  useEffect(() => line.current?.say({ says: 'point', at: spot }), [line, spot]);
  const draw = useCallback(
    (drawn: Drawn) => {
      drawHere(drawn);
      line.current?.say(drawn);
    },
    [drawHere, line],
  );
  useTalkKeys(mode, move);
  useAwake();
  return { talk, slides, here, now, next, move, follow, setSpot, strokes, draw, audience };
}

/** The line to the audience's window: it is told what is shown, and what it asks for is done. */
function useAudience(
  deck: string,
  said: SpeakerSays | null,
  move: (made: Move) => void,
  follow: (to: SlideId) => void,
  setAudience: (isThere: boolean) => void,
) {
  const line = useRef<TalkLine<SpeakerSays, StageSays> | null>(null);
  const newest = useRef(said);
  useEffect(() => {
    newest.current = said;
    if (said !== null) line.current?.say(said);
  }, [said]);

  useEffect(() => {
    const opened = new TalkLine<SpeakerSays, StageSays>(deck, 'speaker', (message) => {
      if (message.says === 'moved') move(message.move);
      else if (message.says === 'followed') follow(message.to);
      else setAudience(message.says === 'here');
      if (message.says === 'here' && newest.current !== null) opened.say(newest.current);
    });
    line.current = opened;
    const end = () => opened.say({ says: 'end' });
    window.addEventListener('pagehide', end);
    return () => {
      window.removeEventListener('pagehide', end);
      end();
      opened.close();
    };
  }, [deck, move, follow, setAudience]);
  return line;
}

/** Before it is seen: the first press of a remote control is not lost. */
function useTalkKeys(mode: Mode, move: (made: Move) => void): void {
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      if (target instanceof HTMLElement && target.closest('input, select, textarea') !== null) return;
      if (pressesControl(event)) return;
      const made = moveOf(event, mode === 'rehearsal');
      if (made === undefined) return;
      event.preventDefault();
      move(made);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [move, mode]);
}

/** Whether a key presses the button or link that has the focus, in the place of moving the talk. */
export const pressesControl = ({ key, target }: KeyboardEvent): boolean =>
  (key === ' ' || key === 'Enter') && target instanceof Element && target.closest('button, a') !== null;

function useSlide({ key, number, transition, steps }: ShownSlide): SlideToShow | null {
  const { row, drawing } = usePage(key);
  const title = row?.title.runs.map(({ text }) => text).join('') ?? '';
  return useMemo(
    () =>
      drawing === undefined
        ? null
        : {
            drawing,
            number,
            label: title === '' ? t('Slide {number}', { number }) : t('Slide {number}: {title}', { number, title }),
            transition,
            step: steps > 0 ? 0 : null,
          },
    [drawing, number, title, transition, steps],
  );
}

/** Keeps the screen awake as long as one speaks, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let left = false;
    const take = () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      navigator.wakeLock.request('screen').then(
        (given) => {
          lock = given;
          if (left) void given.release();
        },
        () => {}, // refused, as on a low battery: the screen then does what it always does
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}
