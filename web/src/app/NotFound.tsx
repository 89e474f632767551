import { Link, useRouteError } from 'react-router';

export function NotFound() {
  const error = useRouteError();
  return (
    <main className="p-8 max-w-2xl mx-auto">
      <h1 className="text-3xl mb-2">{error ? 'This page stopped working' : 'There is no such page'}</h1>
      <p className="mb-4">
        {error
          ? 'Nothing you entered is lost: it is kept on this device. Reload the page to continue.'
          : 'The address may be old, or mistyped.'}
      </p>
      <Link to="/jobs" className="font-head font-semibold underline" reloadDocument={Boolean(error)}>
        Go to the jobs
      </Link>
    </main>
  );
}
