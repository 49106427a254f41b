import type { Finding, Schemas } from '../api/client';
import { write } from '../field/entries';
import type { Level, LevelToRead, Profile } from './columns';

/** The likely repairs of a finding on a level: one touch, and what was written stays. */
export function repairsFor(finding: Finding, visit: string, profile: Profile, choose: (level: LevelToRead | Level) => void) {
  const [about] = finding.about;
  const place = profile.levels.findIndex((level) => level.entry === about);
  const level = profile.levels[place];
  const reread = (levels: Level[], as: Schemas['RereadBody']['as']) =>
    void write({ visit, kind: 'reread', body: { levels: levels.map(({ entry }) => entry), as } });
  if (finding.code === 'meter-unit-unconfirmed' && profile.meter.meter) {
    const meter = profile.meter.meter;
    return (
      <button
        type="button"
        className="act act-next"
        onClick={() => void write({ visit, kind: 'meter-check', body: { meter, atEnd: false, display: 'mg/L' } })}
      >
        It is back on mg/L
      </button>
    );
  }
  if (!level) {
    return null;
  }
  const withOxygen = profile.levels.filter((other) => other.oxygen && other.oxygenUnit === level.oxygenUnit);
  const down = withOxygen.filter((other) => other.depthM >= level.depthM);
  switch (finding.code) {
    case 'oxygen-as-percent':
    case 'oxygen-as-mgl': {
      const as: Schemas['RereadBody']['as'] = finding.code === 'oxygen-as-percent' ? 'oxygen-percent' : 'oxygen-mgl';
      const unit = as === 'oxygen-percent' ? '%' : 'mg/L';
      return (
        <>
          <button type="button" className="act act-next" onClick={() => reread([level], as)}>
            Read this one as {unit}
          </button>
          <button type="button" className="act" onClick={() => reread(down, as)}>
            From here down
          </button>
          <button type="button" className="act" onClick={() => reread(withOxygen, as)}>
            The whole column
          </button>
          {as === 'oxygen-percent' && (
            <button type="button" className="act-quiet" onClick={() => reread([level], 'oxygen-tenth')}>
              the point was lost
            </button>
          )}
        </>
      );
    }
    case 'oxygen-point-lost':
      return (
        <button type="button" className="act act-next" onClick={() => reread([level], 'oxygen-tenth')}>
          The point was lost
        </button>
      );
    case 'temperature-as-fahrenheit':
      return (
        <>
          <button type="button" className="act act-next" onClick={() => reread([level], 'fahrenheit')}>
            It was °F
          </button>
          <button type="button" className="act" onClick={() => reread(profile.levels, 'fahrenheit')}>
            The whole column
          </button>
        </>
      );
    default:
      return (
        <button type="button" className="act" onClick={() => choose(level)}>
          Read it again
        </button>
      );
  }
}
