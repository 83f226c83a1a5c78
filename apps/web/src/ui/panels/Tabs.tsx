import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

export interface Tab<T extends string> {
  readonly value: T;
  readonly label: string;
  /** How much there is to look at; nothing is said of none. */
  readonly count?: number;
  readonly content: ReactNode;
}

interface TabsProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly tabs: readonly Tab<T>[];
  onChange(value: T): void;
}

/** Panes in one place, one of which is seen. */
export function Tabs<T extends string>({ label, value, tabs, onChange }: TabsProps<T>) {
  return (
    <Radix.Root
      value={value}
      onValueChange={(text) => {
        const chosen = tabs.find((tab) => tab.value === text);
        if (chosen) onChange(chosen.value);
      }}
    >
      <Radix.List aria-label={label} className="flex flex-wrap gap-1 border-b-[1.5px] border-ink">
        {tabs.map((tab) => (
          <Radix.Trigger
            key={tab.value}
            value={tab.value}
            className="min-h-11 min-w-11 rounded-t-md px-3 font-semibold hover:bg-hint data-[state=active]:bg-tape data-[state=active]:text-on-tape"
          >
            {tab.label}
            {tab.count ? <span className="tabular ml-1.5 text-sm font-normal">{tab.count}</span> : null}
          </Radix.Trigger>
        ))}
      </Radix.List>
      {tabs.map((tab) => (
        <Radix.Content key={tab.value} value={tab.value} className="pt-3">
          {tab.content}
        </Radix.Content>
      ))}
    </Radix.Root>
  );
}
