<script lang="ts">
    import type { Finding } from '../lib/api';

    /** A severity's sign: told apart by shape as well as colour. */
    let { severity, size = 18 }: { severity: Finding['severity']; size?: number } = $props();
</script>

<svg
    width={size}
    height={size}
    viewBox="0 0 18 18"
    role="img"
    aria-label={severity}
    class="inline-block shrink-0 align-[-3px]"
>
    {#if severity === 'danger'}
        <rect x="1" y="1" width="16" height="16" rx="2" fill="var(--danger)" />
    {:else if severity === 'fault'}
        <path d="M9 0.8 17.6 16.6H0.4Z" fill="var(--fault)" />
    {:else if severity === 'warning'}
        <path d="M9 0 18 9 9 18 0 9Z" fill="var(--warning)" />
    {:else}
        <circle cx="9" cy="9" r="8.2" fill="var(--advice)" />
    {/if}
    {#if severity === 'advice'}
        <path d="M9 7.8v5.4M9 4.4v1.8" stroke="var(--on-sign)" stroke-width="2" />
    {:else}
        <path d="M9 4.6v5.6M9 12v1.9" stroke="var(--on-sign)" stroke-width="2" />
    {/if}
</svg>
