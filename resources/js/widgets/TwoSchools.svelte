<script lang="ts">
    import type { Schemas } from '../lib/api';

    /** To send and forget, or to be answered: side by side, with what each costs. */
    let { answer }: { answer: Schemas['RouteAnswer'] } = $props();
</script>

<table class="ledger mt-2 max-w-[640px]" aria-label="Sent and forgotten, or answered">
    <thead
        ><tr
            ><th class="w-[30%]"><span class="sr-only">School</span></th><th>Known after, at most</th><th>On the air</th
            ></tr
        ></thead
    >
    <tbody>
        <tr class={answer.state === null ? 'font-medium' : ''}
            ><td>Sent and forgotten</td><td>never; done after <span class="mono">{answer.forgottenAfter}</span></td><td
                class="mono">{answer.forgottenAir}</td
            ></tr
        >
        <tr class={answer.state === null ? '' : 'font-medium'}
            ><td>Answered{answer.state === null ? ', as it could be' : ''}</td><td class="mono"
                >{answer.answeredAfter}</td
            ><td class="mono">{answer.answeredAir}</td></tr
        >
    </tbody>
</table>
<p class="text-soft px-2 py-1">
    {#if answer.state === null}
        {answer.advice}
    {:else}
        {answer.shownBy} shows how it {answer.measured
            ? 'is sensed to stand'
            : 'was told to stand'}{answer.believedFor === null
            ? '.'
            : `; unheard for ${answer.believedFor}, nobody knows.`}
    {/if}
</p>
