import type { ThemeConfig } from 'flowbite-svelte';

/** How the library's controls look here: ledger paper, hairlines, no shadows. */
const field =
    'h-[31px] bg-sheet border-rule text-ink !rounded-[4px] px-2 py-0.5 text-[15px] placeholder:text-soft shadow-none dark:bg-sheet dark:border-rule dark:text-ink dark:placeholder:text-soft focus:border-accent focus:ring-accent';

export const flowbiteTheme: ThemeConfig = {
    button: {
        base: 'min-h-[31px] rounded-[4px] px-3 py-0.5 text-[15px] font-medium leading-snug shadow-none focus:ring-2 focus-within:ring-2',
    },
    input: { input: field },
    select: { select: `${field} pr-7` },
    textarea: { base: field },
    label: 'text-[14px] font-normal text-soft dark:text-soft',
    modal: {
        base: 'bg-sheet border-rule border text-ink dark:bg-sheet dark:border-rule dark:text-ink rounded-[5px]',
        header: 'border-rule p-4 text-[18px] font-semibold text-ink dark:text-ink dark:border-rule',
        body: 'p-4 space-y-3 text-ink dark:text-ink',
        footer: 'border-rule p-3 dark:border-rule',
    },
} as ThemeConfig;
