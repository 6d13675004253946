export interface Label {
    text: string;
    x: number;
}

export interface PlacedLabel extends Label {
    row: number;
    anchor: 'start' | 'end';
}

/** Puts labels beside their marks in as many rows as keep them from touching. Widths are estimated: letters of about so many pixels. */
export function placeLabels(labels: Label[], width: number, letter = 6.6): PlacedLabel[] {
    const rows: [number, number][][] = [];
    return labels.map((label) => {
        const length = label.text.length * letter + 10;
        const anchor = label.x > length ? 'end' : 'start';
        const span: [number, number] =
            anchor === 'end' ? [label.x - length, label.x] : [label.x, Math.min(width, label.x + length)];
        let row = 0;
        while ((rows[row] ?? []).some(([from, to]) => span[0] < to && span[1] > from)) {
            row++;
        }
        rows[row] = [...(rows[row] ?? []), span];
        return { ...label, row, anchor };
    });
}
