/** The audience's window: it shows what the speaker's window says, and needs no server for it. */
import { chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { t } from '../words/words.ts';
import { TalkLine, type SpeakerSays, type StageSays } from './channel.ts';
import { Stage } from './stage.tsx';
import { moveOf } from './talk.ts';
import type { Place } from './strokes.ts';
import { useStrokes } from './use-strokes.ts';
import { pressesControl, useAwake } from './use-talk.ts';

const Quiet = chakra('main', {
  base: {
    position: 'fixed',
    inset: 0,
    bg: '#000000',
    color: '#C8C8C8',
    display: 'grid',
    placeContent: 'center',
    fontSize: 'lg',
    textAlign: 'center',
    p: '24px',
  },
});

export function AudiencePage() {
  const { id = '' } = useParams();
  const [shown, setShown] = useState<Extract<SpeakerSays, { says: 'show' }> | null>(null);
  const [spot, setSpot] = useState<Place | null>(null);
  const { strokes, draw } = useStrokes(shown?.now.drawing.key ?? null);
  const [ended, setEnded] = useState(false);
  const line = useRef<TalkLine<StageSays, SpeakerSays> | null>(null);
  useEffect(() => {
    let over = false;
    const opened = new TalkLine<StageSays, SpeakerSays>(id, 'stage', (message) => {
      if (message.says === 'show') setShown(message);
      if (message.says === 'point') setSpot(message.at);
      if (message.says === 'draw' || message.says === 'lift') draw(message);
      // A speaker's window that was loaded again does not know of this one.
      if (message.says === 'end') over = true;
      else if (over && message.says === 'show') {
        opened.say({ says: 'here' });
        over = false;
      }
      setEnded(over);
    });
    line.current = opened;
    opened.say({ says: 'here' });
    const gone = () => opened.say({ says: 'gone' });
    window.addEventListener('pagehide', gone);
    return () => {
      window.removeEventListener('pagehide', gone);
      gone();
      opened.close();
    };
  }, [id, draw]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (pressesControl(event)) return;
      const made = moveOf(event);
      if (event.key.toLowerCase() === 'f') void fillScreen();
      if (made === undefined) return;
      event.preventDefault();
      line.current?.say({ says: 'moved', move: made });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  useAwake();
  if (shown === null || ended)
    return (
      <Quiet>
        <title>{t('Audience · Alvex')}</title>
        {ended ? t('The talk has ended.') : t('Waiting for the speaker’s window …')}
      </Quiet>
    );
  return (
    <main>
      <title>{t('Audience · Alvex')}</title>
      <Stage
        deck={id}
        now={shown.now}
        next={shown.next}
        screen={shown.screen}
        spot={spot}
        strokes={strokes}
        move={(move) => line.current?.say({ says: 'moved', move })}
        follow={(to) => line.current?.say({ says: 'followed', to })}
      />
      <FillScreen />
    </main>
  );
}

const Hint = chakra('button', {
  base: {
    position: 'fixed',
    left: '50%',
    bottom: '24px',
    transform: 'translateX(-50%)',
    bg: 'rgba(0, 0, 0, 0.78)',
    color: '#FFFFFF',
    borderRadius: 'sm',
    px: '16px',
    py: '9px',
    fontSize: 'sm',
    cursor: 'pointer',
  },
});

export async function fillScreen(): Promise<void> {
  if (document.fullscreenElement === null) await document.documentElement.requestFullscreen().catch(() => {});
}

/** Browsers fill the screen only when somebody asks for it in that window. */
function FillScreen() {
  const [full, setFull] = useState(document.fullscreenElement !== null);
  useEffect(() => {
    const changed = () => setFull(document.fullscreenElement !== null);
    document.addEventListener('fullscreenchange', changed);
    return () => document.removeEventListener('fullscreenchange', changed);
  }, []);
  if (full || !document.fullscreenEnabled) return null;
  return (
    <Hint onClick={() => void fillScreen()}>{t('Move this window to the audience’s screen, then fill it (F)')}</Hint>
  );
}
