/** What a block is that stays in its place and is left out, in words. */
import type { LeftKind } from '@alvex/core';
import { t } from '../words/words.ts';

export const LEFT: Readonly<Record<LeftKind, string>> = {
  navigation: t('navigation'),
  advert: t('advert'),
  share: t('share row'),
  cookies: t('cookie line'),
  related: t('related links'),
  comments: t('comments'),
  aside: t('sidebar'),
  'page-footer': t('page footer'),
  'sign-up': t('sign-up'),
  'running-head': t('running head'),
  contents: t('table of contents'),
  hidden: t('hidden in the original'),
  'page-number': t('page number'),
  deleted: t('taken out'),
};
