<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { typed } from '../../../lib/typed';
    import CheckField from '../../../widgets/CheckField.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';
    import ValueTable from './ValueTable.svelte';

    /** One function or reading: the values that go with it, what is answered, how long it takes. */
    interface Props {
        protocol: Schemas['Protocol'];
        item: Schemas['Protocol']['items'][number];
        shown: Schemas['ProtocolItemShown'] | undefined;
        onput: (values: Record<string, unknown>) => void;
    }
    let { protocol, item, shown, onput }: Props = $props();

    const words = $derived(protocol.form === 'words');
    const readings = $derived(protocol.items.filter((one) => one.kind === 'answers').map((one) => one.name));
    const answered = $derived(item.kind === 'answers' || item.answered === true || shown?.answers.length !== 0);
    const figure = (text: string): unknown => (text.trim() === '' ? null : typed(text));
</script>

<section class="sheet mt-3 px-4 py-3" aria-label="Values of {item.name}">
    <h2>{item.name}</h2>
    <ValueTable
        title={item.kind === 'says'
            ? 'What it says'
            : item.kind === 'does'
              ? 'What goes with it'
              : 'What goes with the question'}
        of={item.name}
        {words}
        given={item.kind !== 'answers'}
        isAnswer={item.kind === 'says'}
        values={item.sends ?? []}
        onput={(sends) => onput({ sends })}
    />
    {#if item.kind === 'does'}
        <div class="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2">
            <CheckField
                label="it is answered"
                checked={item.answered === true}
                onturn={(checked) => onput({ answered: checked })}
            />
            <TextField
                label="Takes, ms"
                spoken="How long {item.name} takes at most, ms"
                mono
                class="w-[100px]"
                value={String(item.takesMs ?? 0)}
                onsave={(text) => onput({ takesMs: typed(text) })}
            />
            {#if (item.takesMs ?? 0) > 0}
                <SelectField
                    label="Known to be done"
                    spoken="How {item.name} is known to be done"
                    class="w-[240px]"
                    value={item.done ?? 'waited'}
                    items={[
                        { value: 'waited', name: 'when that time has passed' },
                        { value: 'polled', name: 'when a reading says so' },
                        { value: 'answered', name: 'when it answers, and not before' },
                    ]}
                    onsave={(done) => onput({ done })}
                />
                {#if item.done === 'polled'}
                    <SelectField
                        label="Reading"
                        spoken="The reading that says that {item.name} is done"
                        class="w-[170px]"
                        value={item.doneBy ?? ''}
                        empty="which?"
                        items={readings.map((name) => ({ value: name, name }))}
                        onsave={(doneBy) => onput({ doneBy })}
                    />
                    <TextField
                        label="reads then"
                        spoken="What it reads when {item.name} is done"
                        mono
                        class="w-[90px]"
                        value={String(item.doneIs ?? 0)}
                        onsave={(text) => onput({ doneIs: typed(text) })}
                    />
                {/if}
            {/if}
        </div>
    {:else if item.kind === 'answers'}
        <TextField
            label="Asked every, ms"
            spoken="How often {item.name} is asked for, ms"
            mono
            class="mt-3 w-[120px]"
            value={String(item.everyMs ?? 1000)}
            onsave={(text) => onput({ everyMs: typed(text) })}
        />
    {/if}
    {#if item.kind !== 'says' && answered}
        <ValueTable
            title="What comes back"
            of="the answer to {item.name}"
            {words}
            given={item.kind === 'answers'}
            isAnswer
            values={item.answers ?? []}
            onput={(answers) => onput({ answers })}
        >
            {#if words}<TextField
                    label="Begins with"
                    spoken="Word of the answer to {item.name}"
                    mono
                    class="w-[130px]"
                    value={item.answerWord ?? ''}
                    placeholder="the same word"
                    onsave={(answerWord) => onput({ answerWord })}
                />{:else}<TextField
                    label="Code"
                    spoken="Code of the answer to {item.name}"
                    mono
                    class="w-[110px]"
                    value={item.answerCode === null || item.answerCode === undefined ? '' : String(item.answerCode)}
                    placeholder="the same"
                    onsave={(text) => onput({ answerCode: figure(text) })}
                />{/if}
        </ValueTable>
    {/if}
    {#if shown}
        <dl
            class="border-rule mt-3 grid grid-cols-[max-content_max-content_1fr] items-baseline gap-x-3 gap-y-0.5 border-t pt-2"
        >
            {#each [{ says: item.kind === 'says' ? 'says' : item.kind === 'does' ? 'told' : 'asked', all: shown.sent }, { says: 'answers', all: shown.answers }] as { says, all } (says)}
                {#each all as one (one.what)}
                    <dt class="text-soft">{says}</dt>
                    <dd>{one.what}</dd>
                    <dd class="mono text-[12.5px] break-words">
                        {one.text ?? one.hex}{#if one.text !== null}<span class="text-soft ml-3">{one.hex}</span>{/if}
                    </dd>
                {/each}
            {/each}
        </dl>
    {/if}
</section>
