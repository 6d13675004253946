<script lang="ts">
    import type { Schemas } from '../lib/api';
    import { hex, typed, typedHex } from '../lib/typed';
    import PinButton from './PinButton.svelte';
    import SelectField from './SelectField.svelte';
    import TextField from './TextField.svelte';

    type Value = string | number | boolean | null;
    interface Props {
        field: Schemas['SettingField'];
        value: Value;
        onsave: (value: Value) => void;
        pinned?: boolean;
        /** Left out where a value cannot be pinned. */
        onpin?: () => void;
        quiet?: boolean;
        /** What stands where nothing is given. */
        empty?: string;
        /** Whose it is, where several of its like are on the page. */
        of?: string;
    }
    let { field, value, onsave, pinned = false, onpin, quiet = false, of = '', empty }: Props = $props();
    const label = $derived(
        field.unit === null || field.kind === 'flag' ? field.title : `${field.title}, ${field.unit}`,
    );
    const spoken = $derived(of === '' ? undefined : `${label} of ${of}`);

    /** At least as wide as its label, which does not break. */
    const wide = (least: string): string => `w-min ${least} [&>label]:whitespace-nowrap`;
    const narrow = wide('min-w-[66px]');
    /** As wide as what goes in: a unit is a few letters, a count a few digits. */
    const width = $derived(
        field.kind === 'text'
            ? (field.longest ?? 99) <= 12
                ? wide('min-w-[76px]')
                : (field.longest ?? 0) > 120
                  ? wide('min-w-[270px]')
                  : wide('min-w-[150px]')
            : field.kind === 'whole' && Math.max(-(field.lowest ?? 0), field.highest ?? 0) <= 10_000
              ? narrow
              : wide('min-w-[84px]'),
    );

    const longestChoice = $derived(
        Math.max(0, ...field.choices.map((choice, at) => (field.choiceNames[at] ?? String(choice)).length)),
    );
    const choiceWidth = $derived(longestChoice > 19 ? 'w-[206px]' : longestChoice > 8 ? 'w-[158px]' : 'w-[104px]');

    function said(text: string): Value {
        if (field.hexadecimal) {
            return typedHex(text);
        }
        return field.kind === 'text' ? (text === '' && field.nullable ? null : text) : typed(text);
    }
</script>

<div class="flex items-end gap-1" title={field.doc}>
    {#if field.kind === 'flag'}
        <SelectField
            {label}
            {spoken}
            {quiet}
            class="w-[92px]"
            value={String(value)}
            items={[
                { value: 'true', name: 'on' },
                { value: 'false', name: 'off' },
            ]}
            onsave={(text) => onsave(text === 'true')}
        />
    {:else if field.kind === 'choice'}
        <SelectField
            {label}
            {spoken}
            {quiet}
            class={choiceWidth}
            value={String(value ?? '')}
            items={field.choices.map((choice, at) => ({
                value: String(choice),
                name: field.choiceNames[at] ?? String(choice),
            }))}
            onsave={(text) => onsave(field.choices.find((choice) => String(choice) === text) ?? null)}
            empty={field.nullable ? 'as the link' : undefined}
        />
    {:else}
        <TextField
            {label}
            {spoken}
            {quiet}
            mono
            class={width}
            value={field.hexadecimal ? hex(value) : String(value ?? '')}
            placeholder={field.nullable ? (empty ?? (width === narrow ? 'none' : 'none yet')) : ''}
            onsave={(text) => onsave(said(text))}
        />
    {/if}
    {#if onpin}<PinButton {pinned} what={field.title} onturn={onpin} />{/if}
</div>
