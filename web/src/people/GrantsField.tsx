import type { Schemas } from '../api/client';
import { Check } from '../ui/Check';
import { ROLES, type Role } from './roles';

type Grant = Schemas['Grant'];

/** Roles, each for all waters or for some. */
export function GrantsField({
  grants,
  waters,
  onChange,
}: {
  grants: Grant[];
  waters: Schemas['Water'][];
  onChange(grants: Grant[]): void;
}) {
  const toggle = (role: Role, on: boolean) =>
    onChange(on ? [...grants, { role }] : grants.filter((grant) => grant.role !== role));
  const limit = (role: Role, codes: string[] | null) =>
    onChange(grants.map((grant) => (grant.role === role ? { role, waters: codes } : grant)));
  return (
    <fieldset className="mt-4">
      <legend className="font-bold text-sm">Roles</legend>
      {(Object.keys(ROLES) as Role[]).map((role) => {
        const grant = grants.find((g) => g.role === role);
        return (
          <div key={role} className="border-rule border-b py-1.5">
            <Check checked={grant !== undefined} onCheck={(on) => toggle(role, on)}>
              <span>
                <b>{ROLES[role].name}</b> <span className="text-dim">{ROLES[role].does}</span>
              </span>
            </Check>
            {grant && (
              <div className="ml-8 flex flex-wrap gap-x-5">
                <label className="flex min-h-9 items-center gap-2">
                  <input
                    type="radio"
                    name={`waters of ${role}`}
                    className="size-4 accent-(--ink)"
                    checked={!grant.waters}
                    onChange={() => limit(role, null)}
                  />
                  all waters, also those to come
                </label>
                <label className="flex min-h-9 items-center gap-2">
                  <input
                    type="radio"
                    name={`waters of ${role}`}
                    className="size-4 accent-(--ink)"
                    checked={Boolean(grant.waters)}
                    onChange={() => limit(role, [])}
                  />
                  only these:
                </label>
                {grant.waters &&
                  waters.map((water) => (
                    <Check
                      key={water.code}
                      checked={grant.waters?.includes(water.code) ?? false}
                      onCheck={(on) =>
                        limit(
                          role,
                          on ? [...(grant.waters ?? []), water.code] : (grant.waters ?? []).filter((code) => code !== water.code),
                        )
                      }
                    >
                      {water.name}
                    </Check>
                  ))}
              </div>
            )}
          </div>
        );
      })}
    </fieldset>
  );
}
