import type { PlanIndex } from './plan-index';

/** "Pocket A · Button 3 → Pump house · Pump" */
export function routeName(index: PlanIndex, route: { controlId: string; outputId: string }): string {
    const control = index.control(route.controlId);
    const output = index.output(route.outputId);
    return `${index.node(control?.nodeId ?? '')?.name} · ${control?.name} → ${index.node(output?.nodeId ?? '')?.name} · ${output?.name}`;
}
