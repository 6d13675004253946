<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\Access;
use App\Plans\Transaction;

final class SharePlan extends OperatorCommand
{
    protected $signature = 'plan:share
        {plan : id of the plan, as its address shows it}
        {email : of whoever it is shared with}
        {access : viewer, editor, owner (who owned it becomes an editor), or none}';

    protected $description = 'Share a plan with another account, or no longer';

    public function handle(): int
    {
        $plan = PlanRecord::query()->where('id', $this->text('plan'))->first();
        $user = User::at($this->text('email'));
        $access = Access::tryFrom($this->text('access'));

        return match (true) {
            $plan === null => $this->refuse('There is no such plan.'),
            $user === null => $this->refuse('There is no account with this address.'),
            $access === null && $this->text('access') !== 'none' => $this->refuse('Say viewer, editor, owner or none.'),
            default => Transaction::of(fn (): int => $this->share($plan, $user, $access)),
        };
    }

    private function share(PlanRecord $plan, User $user, ?Access $access): int
    {
        $members = PlanMember::query()->where('plan_id', $plan->id);
        $owner = (clone $members)->where('access', Access::Owner)->firstOrFail()->user;
        if ($owner->is($user)) {
            return $this->refuse('The plan is theirs. To hand it over, make somebody else its owner.');
        }
        if ($access === Access::Owner) {
            PlanMember::put($plan->id, $owner, Access::Editor);
        }
        if ($access === null) {
            $members->where('user_id', $user->id)->delete();
        } else {
            PlanMember::put($plan->id, $user, $access);
        }
        $this->info($access === null ? "\"{$plan->name}\" is no longer shared with {$user->email}." : "{$user->email} is {$access->value} of \"{$plan->name}\".");

        return self::SUCCESS;
    }
}
