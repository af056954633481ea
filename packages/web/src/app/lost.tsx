/** What is shown where there is nothing, or where showing it failed. */
import { Box } from '@chakra-ui/react';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Action, Heading, Small } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';

export function Lost() {
  const error = useRouteError();
  const failed = error !== undefined && error !== null && !isRouteErrorResponse(error);
  return (
    <Box as="main" maxW="520px" mx="auto" pt="18vh" px="24px" display="grid" gap="12px" justifyItems="start">
      <title>{failed ? t('Not shown · Alvex') : t('Nothing here · Alvex')}</title>
      <Heading>{failed ? t('This page could not be shown') : t('There is nothing at this address')}</Heading>
      <Small>
        {failed
          ? t(
              'What you made is kept on the server. Load the page again; if it fails again, go back to the list of decks.',
            )
          : t('The deck may have been deleted, or the address is incomplete.')}
      </Small>
      <Link to="/">
        <Action as="span">{t('All decks')}</Action>
      </Link>
    </Box>
  );
}
