'use client';
import { useEffect, useRef } from 'react';

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Keys of a screen. `pressed` runs once a press; `held` is told when a key goes down and when it is let go. */
export function useKeys(pressed: Record<string, () => void>, held: Record<string, (down: boolean) => void> = {}): void {
  const latest = useRef({ pressed, held });
  useEffect(() => {
    latest.current = { pressed, held };
  });
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return;
      // Enter on a button or link is that button's own.
      if (e.key === 'Enter' && e.target instanceof HTMLElement && ['A', 'BUTTON'].includes(e.target.tagName)) return;
      const hold = latest.current.held[e.key];
      const press = latest.current.pressed[e.key];
      if (!hold && !press) return;
      e.preventDefault();
      if (e.repeat) return;
      hold?.(true);
      press?.();
    };
    const up = (e: KeyboardEvent) => latest.current.held[e.key]?.(false);
    const blur = () => Object.values(latest.current.held).forEach((h) => h(false));
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', blur);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', blur);
    };
  }, []);
}
