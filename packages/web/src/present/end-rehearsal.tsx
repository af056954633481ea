/** The end of a rehearsal: what it took is kept with the deck, or not. */
import { Link, useNavigate } from 'react-router';
import { edit } from '../state/log-store.ts';
import { uuid } from '../worker/uuid.ts';
import { Action } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import type { Pages } from '../worker/shown.ts';
import { endTalk } from './kept-talk.ts';
import { rehearsalOf } from './rehearsal-of.ts';
import type { Move, Talk } from './talk.ts';

interface Props {
  readonly deck: string;
  readonly talk: Talk;
  readonly pages: Pages;
  readonly move: (move: Move) => void;
}

export function EndRehearsal({ deck, talk, pages, move }: Props) {
  const navigate = useNavigate();
  const pace = `/decks/${deck}/check/pace`;
  const stumbled = talk.stumbled.includes(talk.numbers[talk.at] ?? 0);
  const keep = () => {
    const rehearsal = rehearsalOf(talk, pages, Date.now());
    if (rehearsal !== null) edit({ kind: 'rehearse', id: uuid(), rehearsal });
    endTalk(deck, 'rehearsal');
    void navigate(pace);
  };
  return (
    <>
      <Action size="small" look="main" disabled={talk.since === null} onClick={keep}>
        {t('End and keep it')}
      </Action>
      <Link to={pace} onClick={() => endTalk(deck, 'rehearsal')}>
        <Action as="span" size="small">
          {t('End without keeping')}
        </Action>
      </Link>
      <Action
        size="small"
        look={stumbled ? 'chosen' : 'plain'}
        aria-pressed={stumbled}
        title="S"
        onClick={() => move({ move: 'stumble' })}
      >
        {t('I stumbled here')}
      </Action>
    </>
  );
}
