<?php

declare(strict_types=1);

namespace App\Plans;

use App\Http\EditMark;
use App\Http\EditRequest;
use App\Models\EditRecord;
use App\Models\EditState;
use App\Models\PlanRecord;
use App\Models\User;
use Closure;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Findings;
use Rundfunk\Edit\Edited;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Meanwhile;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Shape\PlanRefused;

/** Edits, undo and redo: each in one transaction, with the plan's row locked. */
final readonly class PlanEditing
{
    public function __construct(private PlanStore $store, private Knowledge $knowledge, private Checker $checker, private Retention $retention)
    {
    }

    /**
     * An edit made against an older version is made all the same, unless it is at odds with what others did since.
     *
     * @throws StaleVersion when it is
     * @throws PlanRefused when an operation cannot be done
     */
    public function apply(User $user, string $plan, EditRequest $edit): KeptEdit
    {
        return $this->once($user, $plan, $edit->mark, function (LoadedPlan $loaded) use ($user, $edit): KeptEdit {
            $record = $loaded->record;
            $this->refuseIfAtOdds($record, $loaded, $edit);
            try {
                $edited = (new Editor($this->knowledge))->apply($loaded->plan, $edit->operations);
            } catch (PlanRefused $refused) {
                // Sound when it was made, it is refused for what others did.
                throw $edit->version < $loaded->version ? StaleVersion::of($record, $edit->version, 'It does not fit what is there now.') : $refused;
            }
            $kept = $this->keep($record, $loaded, $edited);
            $record->editsOf($user, EditState::Undone)->update(['state' => EditState::Gone]);
            $record->edits()->create([
                'user_id' => $user->id,
                'client' => $edit->mark->client,
                'version' => $kept->version,
                'label' => $edit->label === '' ? 'Edit' : $edit->label,
                'state' => EditState::Done,
                'operations' => $edit->operations,
                'inverse' => $edited->inverse,
                'touched' => $edited->touched,
                'felt' => $kept->felt(),
            ]);
            if ($kept->version % Retention::LOOKED_AT_EVERY === 0) {
                $this->retention->shorten($record);
            }

            return $kept;
        });
    }

    /**
     * @param  int|null  $of  the edit that the user means; the last there is, where it is not said
     *
     * @throws UndoRefused
     */
    public function undo(User $user, string $plan, EditMark $mark, ?int $of = null): KeptEdit
    {
        return $this->once($user, $plan, $mark, function (LoadedPlan $loaded) use ($user, $of): KeptEdit {
            $record = $loaded->record;
            $last = $record->editsOf($user, EditState::Done)->latest('id')->first()
                ?? throw UndoRefused::nothingToUndo();

            return $this->replay($record, $loaded, self::meant($last, $of), $last->inverse, EditState::Undone);
        });
    }

    /**
     * @param  int|null  $of  the edit that the user means; the next there is, where it is not said
     *
     * @throws UndoRefused
     */
    public function redo(User $user, string $plan, EditMark $mark, ?int $of = null): KeptEdit
    {
        return $this->once($user, $plan, $mark, function (LoadedPlan $loaded) use ($user, $of): KeptEdit {
            $record = $loaded->record;
            $next = $record->editsOf($user, EditState::Undone)->oldest('id')->first()
                ?? throw UndoRefused::nothingToRedo();

            return $this->replay($record, $loaded, self::meant($next, $of), $next->operations, EditState::Done);
        });
    }

    private static function meant(EditRecord $found, ?int $of): EditRecord
    {
        return $of === null || $found->id === $of ? $found : throw UndoRefused::another($found->label);
    }

    /** @throws StaleVersion */
    private function refuseIfAtOdds(PlanRecord $record, LoadedPlan $loaded, EditRequest $edit): void
    {
        if ($edit->version === $loaded->version) {
            return;
        }
        if ($edit->exact || $edit->version > $loaded->version) {
            throw StaleVersion::of($record, $edit->version, 'It was worked out of what was there before.');
        }
        if ($edit->version < $record->known_since) {
            throw StaleVersion::of($record, $edit->version, 'What was done since is no longer in the history.');
        }
        $theirs = [];
        foreach ($record->editsSince($edit->version) as $other) {
            if ($edit->mark->client === null || $other->client !== $edit->mark->client) {
                foreach ($other->lastDone() as $index => $operation) {
                    $theirs[] = Operation::from($operation, "/{$index}");
                }
            }
        }
        $why = (new Meanwhile($loaded->plan, $theirs))->against($edit->operations);
        if ($why !== null) {
            throw StaleVersion::of($record, $edit->version, $why);
        }
    }

    /** @param  list<array<string, mixed>>  $raw */
    private function replay(PlanRecord $record, LoadedPlan $loaded, EditRecord $edit, array $raw, EditState $state): KeptEdit
    {
        $this->refuseIfTouchedSince($record, $edit);
        $operations = [];
        foreach ($raw as $index => $operation) {
            $operations[] = Operation::from($operation, '/operations/'.$index);
        }
        try {
            $edited = (new Editor($this->knowledge))->apply($loaded->plan, $operations);
        } catch (PlanRefused) {
            throw UndoRefused::inTheWay($edit->label);
        }
        $kept = $this->keep($record, $loaded, $edited);
        // It may have taken or brought back more than it did at first: what others put there since goes and comes with it.
        $edit->fill(['state' => $state, 'version' => $kept->version, 'touched' => $edited->touched, 'felt' => $kept->felt(), $state === EditState::Done ? 'inverse' : 'operations' => $edited->inverse])->save();

        return $kept;
    }

    private function refuseIfTouchedSince(PlanRecord $record, EditRecord $edit): void
    {
        $later = EditRecord::query()->with('user')->whereBelongsTo($record, 'plan')->where('version', '>', $edit->version)->where('state', EditState::Done);
        // An account that is gone was another's too.
        $later->whereRaw('not user_id <=> ?', [$edit->user_id]);
        foreach ($later->get() as $other) {
            foreach ($other->touched as $kind => $ids) {
                if (array_intersect($ids, $edit->touched[$kind] ?? []) !== []) {
                    throw UndoRefused::changedSince($edit->label, $other->by());
                }
            }
        }
    }

    private function keep(PlanRecord $record, LoadedPlan $loaded, Edited $edited): KeptEdit
    {
        $before = $loaded->findings();
        $findings = $this->checker->recheck($edited, $before);
        $this->store->save($record, $edited, $before, $findings);

        return new KeptEdit($record->version, new LoadedPlan($record, $edited->plan, $record->version, static fn (): Findings => $findings), $findings->since($before), $edited);
    }

    /**
     * Under the lock of the plan's row, where it is asked too who may change it. What was kept already is answered, and
     * not done again.
     *
     * @param  Closure(LoadedPlan): KeptEdit  $change
     */
    private function once(User $user, string $plan, EditMark $mark, Closure $change): KeptEdit
    {
        return Transaction::of(function () use ($user, $plan, $mark, $change): KeptEdit {
            $record = $this->store->hold($user, $plan, Access::Editor);
            $loaded = $this->store->load($record);
            $version = EditIds::version($mark->id, $record, $user);
            if ($version !== null) {
                return new KeptEdit($version, $loaded);
            }
            $kept = $change($loaded);
            EditIds::keep($mark->id, $record, $user);

            return $kept;
        });
    }
}
