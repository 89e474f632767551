import * as wording from '@white-ember/core/words/screens/app';
import * as common from '@white-ember/core/words/screens/common';
import { Link, useRouteError } from 'react-router';

export function NotFound() {
  const error = useRouteError();
  return (
    <main className="p-8 max-w-2xl mx-auto">
      <h1 className="text-3xl mb-2">{error ? wording.thisPageStoppedWorking : wording.thereIsNoSuchPage}</h1>
      <p className="mb-4">
        {error ? wording.nothingYouEnteredIsLostItIs : wording.theAddressMayBeOldOrMistyped}
      </p>
      <Link to="/jobs" className="font-head font-semibold underline" reloadDocument={Boolean(error)}>
        {common.goToTheJobs}
      </Link>
    </main>
  );
}
