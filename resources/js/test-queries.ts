/**
 * The one field with this label. The library's own query asks each element of a page for its labels, which the stand-in of a
 * browser answers by walking the page: seconds, where a page is large.
 *
 * @throws Error where no field has it, or several
 */
export function fieldLabelled<Field extends HTMLElement = HTMLInputElement>(text: string): Field {
    const found = [...document.querySelectorAll('label')].filter((label) => label.textContent.trim() === text);
    const control = found.length === 1 ? (found[0]?.control ?? null) : null;
    if (control === null) {
        throw new Error(`${found.length} labels say “${text}”, or what it labels is no field`);
    }
    return control as Field;
}

/** All with this role, where the page itself says it, in the order of the page. */
export function allOfRole(role: string, within: ParentNode = document): HTMLElement[] {
    return [...within.querySelectorAll<HTMLElement>(`[role=${role}]`)];
}
