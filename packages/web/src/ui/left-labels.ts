/** What a block is that stays in its place and is left out, in words. */
import type { LeftKind } from '@alvex/core';

export const LEFT: Readonly<Record<LeftKind, string>> = {
  navigation: 'navigation',
  advert: 'advert',
  share: 'share row',
  cookies: 'cookie line',
  related: 'related links',
  comments: 'comments',
  aside: 'sidebar',
  'page-footer': 'page footer',
  'sign-up': 'sign-up',
  'running-head': 'running head',
  contents: 'table of contents',
  hidden: 'hidden in the original',
  'page-number': 'page number',
  deleted: 'taken out',
};
