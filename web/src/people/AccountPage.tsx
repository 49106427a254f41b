import { api, type Schemas } from '../api/client';
import { usePulled } from '../api/usePulled';
import { PageFrame } from '../ui/PageFrame';
import { Problem } from '../ui/Problem';
import { Devices } from './Devices';
import { LinkNotice } from './LinkNotice';
import { NewPassword } from './NewPassword';
import { SecondFactor } from './SecondFactor';
import { useSession } from './session';

export type Account = Schemas['AccountInfo'];

/** One's own account: the password, the second factor, the devices on which one is signed in. */
export function AccountPage() {
  const { known } = useSession();
  const { data, problem, again } = usePulled(() => api.GET('/api/account'));
  return (
    <PageFrame width="form">
      <h1 className="text-2xl sm:text-3xl">Your account</h1>
      <p className="text-dim">
        {known?.name}, signed in as {known?.signInName}
      </p>
      <LinkNotice />
      <Problem words={problem} />
      {!data && !problem && <p className="mt-4 text-dim">Asking the server…</p>}
      {data && (
        <>
          <Devices sessions={data.sessions} onChanged={again} />
          <SecondFactor account={data} onChanged={again} />
          <NewPassword onChanged={again} />
        </>
      )}
    </PageFrame>
  );
}
