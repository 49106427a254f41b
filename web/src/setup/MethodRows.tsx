import type { Schemas } from '../api/client';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';

type Programme = Schemas['Programme'];
type Checks = Programme['checks'];

const GROUPS: Record<Schemas['MethodGroup'], string> = {
  visit: 'Place, time, people',
  clarity: 'Clarity, more',
  profile: 'Temperature and profile',
  bottles: 'Bottles and composites, more',
  samples: 'Containers, filters, labels',
  season: 'Season, more',
  other: 'Nets, beaches and other sampling',
};

/** The limits that are part of the arithmetic of a visit. */
const CHECKS: [keyof Checks & string, Schemas['MethodGroup'], string][] = [
  ['pairApartM', 'clarity', 'A pair is repeated when further apart than, m'],
  ['pairApartPercent', 'clarity', '… and than, % of its mean'],
  ['observersDifferPercent', 'clarity', 'Two observers differ by more than, %'],
  ['bottomToleranceM', 'clarity', 'Counts as the bottom within, m'],
  ['unusualMads', 'clarity', 'Unusual for the month beyond, scaled median deviations'],
  ['unusualLeastCount', 'clarity', '… asked from so many values of the month'],
  ['soundingDiffersPercent', 'visit', 'Sounding differs from the known depth by more than, %'],
  ['soundingDiffersLeastM', 'visit', '… never finer than, m'],
  ['clockOffS', 'visit', 'A device’s clock is off by more than, s'],
];

/** Numbers as they are typed; empty where the usual one holds. */
export type LimitDraft = Record<string, string>;

export function limitDraftOf(programme: Programme): LimitDraft {
  const chosen = Object.entries(programme.limits ?? {}).map(([setting, value]) => [setting, String(value)]);
  return Object.fromEntries([...chosen, ...CHECKS.map(([field]) => [field, String(programme.checks[field] ?? '')])]);
}

/** The programme with the numbers read; the first that is none is named instead. */
export function withLimits(
  programme: Programme,
  draft: LimitDraft,
  read: (text: string) => number | undefined,
): Programme | string {
  const checks: Record<string, number> = {};
  const limits: Record<string, number> = {};
  for (const [setting, text] of Object.entries(draft)) {
    const value = read(text);
    if (text.trim() && value === undefined) {
      return text;
    }
    if (value !== undefined) {
      (CHECKS.some(([field]) => field === setting) ? checks : limits)[setting] = value;
    }
  }
  return { ...programme, limits, checks: { ...programme.checks, ...checks } };
}

interface Props {
  list: Schemas['MethodList'] | undefined;
  methods: Programme['schools'];
  limits: LimitDraft;
  onMethods(methods: Record<string, string>): void;
  onLimits(limits: LimitDraft): void;
}

/** Every other method and limit, part by part: the usual way first, and why it is the usual one. */
export function MethodRows({ list, methods, limits, onMethods, onLimits }: Props) {
  const choose = (method: Schemas['Method'], option: string) => {
    const { [method.setting]: _, ...rest } = methods ?? {};
    onMethods(option === method.options[0]?.code ? rest : { ...rest, [method.setting]: option });
  };
  return (
    <>
      {(Object.keys(GROUPS) as Schemas['MethodGroup'][]).map((group) => {
        const own = list?.schools.filter((method) => method.group === group) ?? [];
        const numbers = list?.limits.filter((limit) => limit.group === group) ?? [];
        const changed =
          own.filter(({ setting }) => methods?.[setting]).length + numbers.filter(({ setting }) => limits[setting]).length;
        return (
          <details key={group} className="mt-3 border-rule border-b pb-3">
            <summary className="cursor-pointer text-lg">
              <b>{GROUPS[group]}</b>{' '}
              <span className="text-dim text-sm">{changed > 0 ? `${changed} differ from the usual` : 'as usual'}</span>
            </summary>
            <div className="grid gap-x-6 sm:grid-cols-2">
              {own.map((method) => (
                <SelectField
                  key={method.setting}
                  label={method.matter}
                  value={methods?.[method.setting] ?? method.options[0]?.code ?? ''}
                  options={Object.fromEntries(method.options.map(({ code, words }) => [code, words]))}
                  onChange={(option) => choose(method, option)}
                  hint={`Usual: ${method.options[0]?.words}. ${method.why}${method.guideOnly ? ' Changes what the guide says, nothing else.' : ''}`}
                />
              ))}
            </div>
            <div className="mt-2 grid gap-x-6 border-rule border-t sm:grid-cols-2 lg:grid-cols-3">
              {CHECKS.filter(([, part]) => part === group).map(([field, , words]) => (
                <TextField
                  key={field}
                  label={words}
                  value={limits[field] ?? ''}
                  inputMode="decimal"
                  onChange={(text) => onLimits({ ...limits, [field]: text })}
                />
              ))}
              {numbers.map((limit) => (
                <TextField
                  key={limit.setting}
                  label={limit.unit ? `${limit.words}, ${limit.unit}` : limit.words}
                  value={limits[limit.setting] ?? ''}
                  placeholder={String(limit.usual)}
                  inputMode="decimal"
                  onChange={(text) => onLimits({ ...limits, [limit.setting]: text })}
                  hint={`Usual ${limit.usual}; ${limit.least} to ${limit.greatest}.`}
                />
              ))}
            </div>
          </details>
        );
      })}
    </>
  );
}
