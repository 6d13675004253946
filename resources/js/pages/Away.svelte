<script lang="ts">
    import Shell from '../widgets/Shell.svelte';
</script>

<Shell title="The server does not answer just now">
    <p role="status" class="max-w-[28em]">
        Nothing is lost: what you changed and could not be sent yet waits in this browser. This page asks again every
        few seconds and goes on by itself.
    </p>
</Shell>
