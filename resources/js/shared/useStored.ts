import { useState } from 'react';

/** How a person likes a view, kept in this browser: columns, density. Not data. */
export function useStored<Value>(name: string, start: Value, isValue: (value: unknown) => value is Value): [Value, (value: Value) => void] {
  const [value, setValue] = useState<Value>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
      return isValue(kept) ? kept : start;
    } catch {
      return start;
    }
  });
  return [
    value,
    (next) => {
      localStorage.setItem(name, JSON.stringify(next));
      setValue(next);
    },
  ];
}
