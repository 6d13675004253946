<?php

declare(strict_types=1);

namespace App\Plans;

use App\Http\EditRequest;
use App\Models\EditRecord;
use App\Models\EditState;
use App\Models\PlanRecord;
use App\Models\User;
use Closure;
use Rundfunk\Check\Checker;
use Rundfunk\Edit\Edited;
use Rundfunk\Edit\Editor;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Shape\PlanRefused;

/** Edits, undo and redo: each in one transaction, with the plan's row locked. */
final readonly class PlanEditing
{
    public function __construct(private PlanStore $store, private Knowledge $knowledge, private Checker $checker)
    {
    }

    /**
     * @throws StaleVersion when the plan has moved on
     * @throws PlanRefused when an operation cannot be done
     */
    public function apply(PlanRecord $record, User $user, EditRequest $edit): KeptEdit
    {
        return $this->within($record, function (LoadedPlan $loaded) use ($record, $user, $edit): KeptEdit {
            if ($edit->version !== $loaded->version) {
                throw StaleVersion::of($record, $edit->version);
            }
            $edited = (new Editor($this->knowledge))->apply($loaded->plan, $edit->operations);
            $kept = $this->keep($record, $loaded, $edited);
            $record->editsOf($user, EditState::Undone)->update(['state' => EditState::Gone]);
            $record->edits()->create([
                'user_id' => $user->id,
                'version' => $kept->after->version,
                'label' => $edit->label === '' ? 'Edit' : $edit->label,
                'state' => EditState::Done,
                'operations' => $edit->operations,
                'inverse' => $edited->inverse,
                'touched' => $edited->touched,
            ]);

            return $kept;
        });
    }

    /** @throws UndoRefused */
    public function undo(PlanRecord $record, User $user): KeptEdit
    {
        return $this->within($record, function (LoadedPlan $loaded) use ($record, $user): KeptEdit {
            $last = $record->editsOf($user, EditState::Done)->latest('id')->first()
                ?? throw UndoRefused::nothingToUndo();

            return $this->replay($record, $loaded, $last, $last->inverse, EditState::Undone);
        });
    }

    /** @throws UndoRefused */
    public function redo(PlanRecord $record, User $user): KeptEdit
    {
        return $this->within($record, function (LoadedPlan $loaded) use ($record, $user): KeptEdit {
            $next = $record->editsOf($user, EditState::Undone)->oldest('id')->first()
                ?? throw UndoRefused::nothingToRedo();

            return $this->replay($record, $loaded, $next, $next->operations, EditState::Done);
        });
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
        $edit->fill(['state' => $state, 'version' => $kept->after->version, $state === EditState::Done ? 'inverse' : 'operations' => $edited->inverse])->save();

        return $kept;
    }

    private function refuseIfTouchedSince(PlanRecord $record, EditRecord $edit): void
    {
        $later = EditRecord::query()->with('user')->whereBelongsTo($record, 'plan')->where('version', '>', $edit->version)->where('user_id', '!=', $edit->user_id)->where('state', EditState::Done)->get();
        foreach ($later as $other) {
            foreach ($other->touched as $kind => $ids) {
                if (array_intersect($ids, $edit->touched[$kind] ?? []) !== []) {
                    throw UndoRefused::changedSince($edit->label, $other->by());
                }
            }
        }
    }

    private function keep(PlanRecord $record, LoadedPlan $loaded, Edited $edited): KeptEdit
    {
        $findings = $this->checker->recheck($edited, $loaded->findings);
        $this->store->save($record, $edited, $findings);

        return new KeptEdit($loaded->version, $loaded->findings, new LoadedPlan($record, $edited->plan, $record->version, $findings), $edited);
    }

    /** @param  Closure(LoadedPlan): KeptEdit  $change */
    private function within(PlanRecord $record, Closure $change): KeptEdit
    {
        return Transaction::of(function () use ($record, $change): KeptEdit {
            $query = PlanRecord::query()->whereKey($record->id);
            $query->lockForUpdate();
            $record->setRawAttributes($query->firstOrFail()->getAttributes(), true);

            return $change($this->store->load($record));
        });
    }
}
