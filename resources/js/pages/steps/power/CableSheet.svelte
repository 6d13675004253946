<script lang="ts">
    import type { Schemas } from '../../../lib/api';
    import { typed } from '../../../lib/typed';
    import { change, remove, workspace } from '../../../lib/workspace.svelte';
    import RemoveButton from '../../../widgets/RemoveButton.svelte';
    import SelectField from '../../../widgets/SelectField.svelte';
    import TextField from '../../../widgets/TextField.svelte';

    /** One cable: what it is, and core by core where each wire goes at either end. */
    interface Props {
        thing: Schemas['Cable'];
        cable: Schemas['CableShown'];
    }
    let { thing, cable }: Props = $props();

    function set(what: string, values: Record<string, unknown>): void {
        void workspace.edit(`${what} of ${thing.name}`, change('cable', thing.id, values));
    }

    /** What a core is for; it is for one thing, and no other core is for that. */
    function use(core: number, key: string): void {
        const want = cable.wants.find((one) => one.key === key);
        const rest = thing.uses.filter((one) => one.core !== core);
        const uses =
            want === undefined
                ? rest
                : [
                      ...rest,
                      {
                          fromPin: '',
                          toPin: '',
                          ...thing.uses.find((one) => one.core === core),
                          core,
                          use: want.use,
                          linkId: want.linkId,
                          supplyId: want.supplyId,
                      },
                  ].sort((one, other) => one.core - other.core);
        set(`Core ${core}`, { uses });
    }
    function plug(core: number, end: 'fromPin' | 'toPin', pin: string): void {
        set(`Plug of core ${core}`, {
            uses: thing.uses.map((one) => (one.core === core ? { ...one, [end]: pin } : one)),
        });
    }
    const mA = (value: number): string => `${Number(value.toPrecision(3))} mA`;
</script>

<section class="sheet mt-3 overflow-x-auto" aria-label="Cable {thing.name}">
    <div class="flex flex-wrap items-end gap-x-2 gap-y-2 p-3">
        <TextField label="Name" class="w-[140px]" value={thing.name} onsave={(name) => set('Name', { name })} />
        <TextField
            label="Cores"
            spoken="Cores of {thing.name}"
            mono
            class="w-[56px]"
            value={String(thing.cores)}
            onsave={(text) => set('Cores', { cores: typed(text) })}
        />
        <TextField
            label="Length, m"
            spoken="Length, m of {thing.name}"
            mono
            class="w-[72px]"
            placeholder="none"
            value={String(thing.lengthM ?? '')}
            onsave={(text) => set('Length', { lengthM: typed(text) })}
        />
        <TextField
            label="Core, mm²"
            spoken="Core, mm² of {thing.name}"
            mono
            class="w-[72px]"
            placeholder="none"
            value={String(thing.mm2 ?? '')}
            onsave={(text) => set('Copper', { mm2: typed(text) })}
        />
        <SelectField
            label="Cores are"
            spoken="Cores of {thing.name} are"
            class="w-[130px]"
            value={String(thing.twisted)}
            items={[
                { value: 'true', name: 'twisted pairs' },
                { value: 'false', name: 'side by side' },
            ]}
            onsave={(text) => set('Twist', { twisted: text === 'true' })}
        />
        <SelectField
            label="Screen"
            spoken="Screen of {thing.name}"
            class="w-[76px]"
            value={String(thing.screened)}
            items={[
                { value: 'true', name: 'yes' },
                { value: 'false', name: 'no' },
            ]}
            onsave={(text) => set('Screen', { screened: text === 'true' })}
        />
        <TextField
            label="On its ends"
            spoken="On the ends of {thing.name}"
            class="w-[104px]"
            value={thing.connector}
            onsave={(connector) => set('Connector', { connector })}
        />
        <div class="grow text-right">
            <RemoveButton
                what="Remove {thing.name}"
                onremove={() => workspace.edit(`Remove ${thing.name}`, remove('cable', thing.id))}
            />
        </div>
    </div>
    <table class="ledger tight">
        <thead
            ><tr
                ><th>Core</th><th class="w-[64px]">Plug</th><th>At {cable.from}</th><th
                    ><span class="sr-only">goes to</span></th
                ><th>At {cable.to}</th><th class="w-[64px]">Plug</th><th>Is for</th><th class="text-right">At most</th
                ></tr
            ></thead
        >
        <tbody>
            {#each cable.cores as core (core.core)}
                <tr>
                    <td class="mono">{core.core}</td>
                    <td>{@render plugPin(core, 'fromPin', cable.from)}</td>
                    <td class="mono">{core.atFrom || '–'}</td>
                    <td class="text-soft whitespace-nowrap">{core.note}</td>
                    <td class="mono">{core.atTo || '–'}</td>
                    <td>{@render plugPin(core, 'toPin', cable.to)}</td>
                    <td
                        ><SelectField
                            label="Core {core.core} of {thing.name}"
                            quiet
                            class="w-[210px]"
                            value={core.want ?? ''}
                            empty={core.carries !== '' && core.want === null ? core.carries : 'free'}
                            items={cable.wants.map((one) => ({ value: one.key, name: one.words }))}
                            onsave={(key) => use(core.core, key)}
                        /></td
                    >
                    <td class="mono text-right whitespace-nowrap"
                        >{#if core.peakMa}{mA(core.peakMa)}{#if core.dropV !== null}, −{core.dropV} V{/if}{/if}</td
                    >
                </tr>
            {/each}
        </tbody>
    </table>
    <p class="px-3 py-2 text-[14px]">
        {#if cable.missing.length > 0}<span class="text-fault">! No core is for {cable.missing.join(', ')}.</span>{/if}
        {cable.free === 0
            ? 'No core is left.'
            : cable.free === 1
              ? 'One core is left.'
              : `${cable.free} cores are left.`}
        {#if cable.coreOhm !== null}A core has <span class="mono">{cable.coreOhm}&nbsp;Ω</span
            >{#if cable.liftV !== null && cable.liftV > 0}; what comes back lifts the far ground by
                <span class="mono">{cable.liftV}&nbsp;V</span>{/if}.{/if}
        {cable.crossing ?? ''}
    </p>
</section>

{#snippet plugPin(core: Schemas['CoreRow'], end: 'fromPin' | 'toPin', at: string)}
    {#if core.carries !== ''}<TextField
            quiet
            mono
            label="Plug pin of core {core.core} at {at}, {thing.name}"
            value={core[end]}
            placeholder="–"
            onsave={(pin) => plug(core.core, end, pin)}
        />{/if}
{/snippet}
