/** Where nothing can be done by mistake: after something was removed, the next key must not find the button of its neighbour. */
export function rest(from: Element | null): void {
    const place = from?.closest<HTMLElement>('section, main') ?? document.querySelector<HTMLElement>('main');
    if (place !== null) {
        place.tabIndex = -1;
        place.focus({ preventScroll: true });
    }
}
