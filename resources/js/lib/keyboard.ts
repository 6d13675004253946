/** Whether a key press belongs to something being typed into, and shortcuts should keep out. */
export function isTyping(event: KeyboardEvent): boolean {
    const target = event.target;
    return (
        target instanceof HTMLElement &&
        (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
    );
}
