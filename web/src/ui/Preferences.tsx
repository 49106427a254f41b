import { SlidersHorizontal } from 'lucide-react';
import { Popover } from 'radix-ui';
import { SignedIn } from '../people/SignedIn';
import { type Appearance, setAppearance, useAppearance } from './appearance';

interface Choice<Key extends keyof Appearance> {
  name: Key;
  legend: string;
  options: [Appearance[Key], string][];
}

const CHOICES: [Choice<'theme'>, Choice<'density'>, Choice<'reader'>] = [
  {
    name: 'theme',
    legend: 'Light',
    options: [
      ['paper', 'Paper'],
      ['glare', 'Glare, for sun on the screen'],
    ],
  },
  {
    name: 'density',
    legend: 'Size',
    options: [
      ['auto', 'By the screen'],
      ['boat', 'Boat, large keys'],
      ['desk', 'Desk, by keyboard'],
    ],
  },
  {
    name: 'reader',
    legend: 'Show depths',
    options: [
      ['as-read', 'As read on the line'],
      ['m', 'In metres'],
      ['ft', 'In feet'],
    ],
  },
];

/** How this device shows things. What was read is always kept in its own unit. */
export function Preferences() {
  const appearance = useAppearance();
  return (
    <Popover.Root>
      <Popover.Trigger className="flex size-12 items-center justify-center" aria-label="You and this device">
        <SlidersHorizontal size={20} aria-hidden="true" />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="You and this device"
          align="end"
          sideOffset={4}
          className="z-20 w-72 max-w-[92vw] panel shadow-lg"
        >
          <SignedIn />
          {CHOICES.map((choice) => (
            <fieldset key={choice.name} className="mb-3 last:mb-0">
              <legend className="caps mb-1">{choice.legend}</legend>
              {choice.options.map(([value, label]) => (
                <label key={value} className="flex min-h-9 items-center gap-2.5">
                  <input
                    type="radio"
                    name={choice.name}
                    className="size-4 accent-(--ink)"
                    checked={appearance[choice.name] === value}
                    onChange={() => setAppearance({ [choice.name]: value })}
                  />
                  {label}
                </label>
              ))}
            </fieldset>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
