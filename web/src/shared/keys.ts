/** Whether keys go into a text or a choice, so that they are no commands. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable="true"]');
}
