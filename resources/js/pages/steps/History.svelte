<script lang="ts">
    import { api, type Schemas } from '../../lib/api';
    import type { StepProps } from '../steps';

    let { data, planId }: StepProps = $props();
    let edits = $state<Schemas['History']['edits'] | null>(null);
    const words = { done: '', settled: '', undone: 'taken back', gone: 'taken back' };
    const moment = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

    $effect(() => {
        void data.version;
        void api.GET('/api/plans/{plan}/history', { params: { path: { plan: planId } } }).then((answer) => {
            edits = answer.data?.edits ?? [];
        });
    });
</script>

<h1>History</h1>
<p class="text-soft mt-0.5">What was changed, newest first.</p>
{#if edits !== null && edits.length === 0}
    <p class="sheet mt-4 p-4">Nothing has been changed yet.</p>
{:else if edits !== null}
    <div class="sheet mt-4">
        <table class="ledger">
            <thead
                ><tr
                    ><th>Version</th><th>What</th><th>Who</th><th>When</th><th><span class="sr-only">State</span></th
                    ></tr
                ></thead
            >
            <tbody>
                {#each edits as edit (edit.version)}
                    <tr class={edit.state === 'done' || edit.state === 'settled' ? '' : 'text-soft'}>
                        <td class="mono">{edit.version}</td><td>{edit.label}</td><td>{edit.by}</td><td
                            class="whitespace-nowrap">{moment.format(new Date(edit.at))}</td
                        ><td>{words[edit.state]}</td>
                    </tr>
                {/each}
            </tbody>
        </table>
    </div>
{/if}
