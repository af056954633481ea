/** For those who have no document yet: purpose, topic, audience and minutes give a headed outline with prompts. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { PURPOSES, startOutline, type Purpose } from '@alvex/core';
import type { NewDocument } from '../../api/client.ts';
import { Action, Field, Heading, Small } from '../../ui/recipes.tsx';
import { language } from '../../words/language.ts';
import { t } from '../../words/words.ts';

const LABELS: Readonly<Record<Purpose, readonly [name: string, what: string]>> = {
  report: [t('Report'), t('what was found, and what it means')],
  lesson: [t('Lesson'), t('something that others will be able to do')],
  proposal: [t('Proposal'), t('something that others should decide')],
  comparison: [t('Comparison'), t('choices, weighed against each other')],
  'how-to': [t('How-to'), t('steps, in their order')],
  progress: [t('Progress update'), t('where we stand, and what comes next')],
};

const Preview = chakra('pre', {
  base: {
    fontFamily: 'heading',
    fontSize: 'sm',
    lineHeight: 1.5,
    whiteSpace: 'pre-wrap',
    bg: 'paper',
    border: '1px solid',
    borderColor: 'line',
    p: '12px 14px',
    maxH: '300px',
    overflowY: 'auto',
    m: 0,
  },
});
const Label = chakra('label', { base: { display: 'grid', gap: '3px', fontSize: 'sm', color: 'soft' } });

export function StarterPanel({
  take,
  close,
}: {
  readonly take: (document: NewDocument) => void;
  readonly close: () => void;
}) {
  const [purpose, setPurpose] = useState<Purpose>('report');
  const [topic, setTopic] = useState('');
  const [audience, setAudience] = useState('');
  const [minutes, setMinutes] = useState(10);
  const outline = startOutline({ purpose, topic, audience, minutes, language: language === 'de' ? 'de' : 'en' });
  const make = () =>
    take({ body: new Blob([outline]), name: `${topic.trim().slice(0, 100) || t('New outline')}.md`, type: 'markdown' });
  return (
    <Box
      as="form"
      bg="card"
      border="1px solid"
      borderColor="line"
      p="18px 20px"
      display="grid"
      gap="14px"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <Heading as="h2">{t('A new outline')}</Heading>
      <Small>{t('Written by rules on this computer. You replace its prompts with your own words.')}</Small>
      <Purposes purpose={purpose} choose={setPurpose} />
      <Box
        display="grid"
        gap="10px"
        gridTemplateColumns="minmax(0, 2fr) minmax(0, 2fr) 110px"
        css={{ '@media (max-width: 560px)': { gridTemplateColumns: '1fr' } }}
      >
        <Label>
          {t('Topic')}
          <Field autoFocus required maxLength={150} value={topic} onChange={(event) => setTopic(event.target.value)} />
        </Label>
        <Label>
          {t('Audience')}
          <Field maxLength={150} value={audience} onChange={(event) => setAudience(event.target.value)} />
        </Label>
        <Label>
          {t('Minutes')}
          <Field
            type="number"
            min={1}
            max={240}
            value={minutes}
            onChange={(event) => setMinutes(Math.min(240, Math.max(1, Number(event.target.value) || 1)))}
          />
        </Label>
      </Box>
      <Preview aria-label={t('The outline')} tabIndex={0} role="region">
        {outline}
      </Preview>
      <Box display="flex" gap="10px">
        <Action look="main" type="submit" disabled={topic.trim() === ''}>
          {t('Use this outline')}
        </Action>
        <Action type="button" onClick={close}>
          {t('Cancel')}
        </Action>
      </Box>
    </Box>
  );
}

interface PurposesProps {
  readonly purpose: Purpose;
  readonly choose: (purpose: Purpose) => void;
}

function Purposes({ purpose, choose }: PurposesProps) {
  return (
    <Box
      role="radiogroup"
      aria-label={t('Purpose')}
      display="grid"
      gap="6px"
      gridTemplateColumns="repeat(auto-fill, minmax(230px, 1fr))"
    >
      {PURPOSES.map((one) => (
        <Action
          key={one}
          type="button"
          role="radio"
          aria-checked={purpose === one}
          look={purpose === one ? 'chosen' : 'plain'}
          onClick={() => choose(one)}
          whiteSpace="normal"
          textAlign="left"
          display="block"
        >
          <b>{LABELS[one][0]}</b>
          <chakra.span display="block" color="soft" fontSize="xs" fontWeight={400}>
            {LABELS[one][1]}
          </chakra.span>
        </Action>
      ))}
    </Box>
  );
}
