/** What is shown where there is nothing, or where showing it failed. */
import { Box } from '@chakra-ui/react';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Action, Heading, Small } from '../ui/recipes.tsx';

export function Lost() {
  const error = useRouteError();
  const failed = error !== undefined && error !== null && !isRouteErrorResponse(error);
  return (
    <Box as="main" maxW="520px" mx="auto" pt="18vh" px="24px" display="grid" gap="12px" justifyItems="start">
      <title>{failed ? 'Not shown · Alvex' : 'Nothing here · Alvex'}</title>
      <Heading>{failed ? 'This page could not be shown' : 'There is nothing at this address'}</Heading>
      <Small>
        {failed
          ? 'What you made is kept on the server. Load the page again; if it fails again, go back to the list of decks.'
          : 'The deck may have been deleted, or the address is incomplete.'}
      </Small>
      <Link to="/">
        <Action as="span">All decks</Action>
      </Link>
    </Box>
  );
}
