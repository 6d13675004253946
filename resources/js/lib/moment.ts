const format = new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
});

/** A moment as a list shows it, of an ISO 8601 time. */
export function moment(time: string): string {
    return format.format(new Date(time));
}
