<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Models\ThingRecord;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Database\UniqueConstraintViolationException;
use LogicException;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Findings;
use Rundfunk\Check\Found;
use Rundfunk\Edit\Edited;
use Rundfunk\Format\SettingShapes;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Columns;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Things;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Bond;
use Rundfunk\Shape\PlanRefused;
use Symfony\Component\Uid\Ulid;

/** Keeps plans in the database: at most one query a table to load, only what changed to save. */
final readonly class PlanStore
{
    private const ROWS_AT_ONCE = 500;

    private const FINDINGS = 'findings';

    /** That an account may have, deleted ones too: more than anybody's sites, and few enough to be taken along in one archive. */
    public const PLANS = 1_000;

    private SettingShapes $shapes;

    public function __construct(Knowledge $knowledge, private Checker $checker, private Kept $kept)
    {
        $this->shapes = new SettingShapes($knowledge->media);
    }

    /**
     * @throws ModelNotFoundException when the user has no such plan
     * @throws AccessRefused when it is shared with him for less
     */
    public function find(User $user, string $id, Access $access): PlanRecord
    {
        return $this->allowed(PlanRecord::of($user, $id), $access);
    }

    /**
     * For the transaction that the caller is in, nobody else changes the plan or who may.
     *
     * @throws ModelNotFoundException when the user has no such plan
     * @throws AccessRefused when it is shared with him for less
     */
    public function hold(User $user, string $id, Access $access): PlanRecord
    {
        $query = PlanRecord::of($user, $id);
        $query->lockForUpdate();

        return $this->allowed($query, $access);
    }

    /**
     * @throws ModelNotFoundException when the user has deleted no such plan
     * @throws AccessRefused when it was another's
     */
    public function findDeleted(User $user, string $id): PlanRecord
    {
        $query = PlanRecord::of($user, $id);
        $query->withoutGlobalScope(SoftDeletingScope::class);
        $query->whereNotNull('plans.deleted_at');

        return $this->allowed($query, Access::Owner);
    }

    /**
     * As one look at the database: an edit that is kept meanwhile is seen in all of it or in none.
     *
     * @throws ModelNotFoundException when the user has no such plan
     */
    public function look(User $user, string $id): LoadedPlan
    {
        return Transaction::of(fn (): LoadedPlan => $this->load($this->find($user, $id, Access::Viewer)));
    }

    /** @param  Builder<PlanRecord>  $query  that finds a plan and what its user may do with it */
    private function allowed(Builder $query, Access $access): PlanRecord
    {
        $record = $query->firstOrFail();
        $has = $record->access ?? throw new LogicException('A plan is found by who may do what with it.');

        return $has->covers($access) ? $record : throw AccessRefused::to($has);
    }

    /** Within the transaction in which the record was read. */
    public function load(PlanRecord $record): LoadedPlan
    {
        $things = [];
        foreach (ThingKind::cases() as $kind) {
            $things[$kind->value] = $this->things($record, $kind, $things[ThingKind::Link->value] ?? null);
        }
        $plan = new Plan(new PlanProperties($record->id, $record->name, $record->region, $record->busy_wifi, $record->note), $things);

        return new LoadedPlan($record, $plan, $record->version, fn (): Findings => $this->findings($record, $plan));
    }

    /**
     * Keeps a plan, under a new id where its own is taken; what it holds keeps its ids.
     *
     * @throws PlanRefused when the user has as many as an account may have
     */
    public function create(User $user, Plan $plan, ?string $name = null): PlanRecord
    {
        if (PlanMember::query()->where('user_id', $user->id)->where('access', Access::Owner)->count() >= self::PLANS) {
            throw PlanRefused::at('', 'cannot be kept: an account has at most '.self::PLANS.' plans, those included that were deleted in the last '.Retention::DELETED_PLAN_DAYS.' days');
        }
        $id = $plan->properties->id;
        try {
            return $this->put($user, $plan, $name, PlanRecord::withTrashed()->whereKey($id)->exists() ? (string) new Ulid : $id);
        } catch (UniqueConstraintViolationException) {
            // The same file came twice at once: the other was quicker.
            return $this->put($user, $plan, $name, (string) new Ulid);
        }
    }

    private function put(User $user, Plan $plan, ?string $name, string $id): PlanRecord
    {
        return Transaction::of(function () use ($user, $plan, $name, $id): PlanRecord {
            $properties = $plan->properties;
            $record = PlanRecord::query()->create([
                'id' => $id,
                'version' => 1,
                'name' => $name ?? $properties->name,
                'region' => $properties->region,
                'busy_wifi' => $properties->busyWifi,
                'note' => $properties->note,
                // A plan that is never edited bears stamps too, so that it need be put together, and looked through, only once.
                'stamps' => array_map(static fn (): string => (string) new Ulid, array_flip([self::FINDINGS, ...array_column(ThingKind::cases(), 'value')])),
            ]);
            PlanMember::put($id, $user, Access::Owner);
            foreach (ThingKind::cases() as $kind) {
                $this->putThings($kind, $record->id, array_values($plan->all($kind)));
            }

            return $record;
        });
    }

    /** Within the caller's transaction: writes what an edit touched, the new version and its findings. */
    public function save(PlanRecord $record, Edited $edited, Findings $before, Findings $findings): void
    {
        $properties = $edited->plan->properties;
        $old = $record->stamps ?? [];
        $fresh = $this->freshStamps($record, $edited);
        $record->fill([
            'version' => $record->version + 1,
            'stamps' => [...$old, ...$fresh],
            'name' => $properties->name,
            'region' => $properties->region,
            'busy_wifi' => $properties->busyWifi,
            'note' => $properties->note,
        ])->save();
        foreach (ThingKind::cases() as $kind) {
            $things = array_map(static fn (string $id): ?Thing => $edited->plan->find($kind, $id), $edited->touched[$kind->value] ?? []);
            $this->putThings($kind, $record->id, array_values(array_filter($things, static fn (?Thing $thing): bool => $thing !== null)));
        }
        foreach (ThingKind::cases() as $kind) {
            $gone = array_filter($edited->touched[$kind->value] ?? [], static fn (string $id): bool => self::goesByItself($kind, $id, $edited));
            if ($gone !== []) {
                $query = ThingRecord::of($kind, $record->id);
                $query->whereIn('id', $gone);
                $query->delete();
            }
        }
        foreach ($fresh as $what => $stamp) {
            if ($what === self::FINDINGS) {
                $this->kept->keepChange($record->id, $what, $old[$what] ?? null, $stamp, self::packed($findings->otherThan($before)), count($findings->found), static fn (): array => self::packed($findings->found));
            } else {
                $things = $edited->plan->things(ThingKind::from($what));
                $touched = $edited->touched[$what] ?? [];
                $change = array_map($things->find(...), array_combine($touched, $touched));
                $this->kept->keepChange($record->id, $what, $old[$what] ?? null, $stamp, $change, $things->count(), static fn (): array => $things->packed(Kept::packed(...)));
            }
        }
    }

    /** Whether a thing is gone, and nothing that it was part of or joined with it: with that the database takes it out by itself. */
    private static function goesByItself(ThingKind $kind, string $id, Edited $edited): bool
    {
        $thing = $edited->before->find($kind, $id);
        if ($thing === null || $edited->plan->find($kind, $id) !== null) {
            return false;
        }
        foreach (Ties::of($kind) as $tie) {
            if ($tie->bond !== Bond::PartOf && $tie->bond !== Bond::Joins) {
                continue;
            }
            foreach ($tie->ids($thing) as $with) {
                if ($edited->plan->find($tie->to, $with) === null) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param  Things<Thing>|null  $links  of the plan, once they are read
     * @return Things<Thing>
     */
    private function things(PlanRecord $record, ThingKind $kind, ?Things $links): Things
    {
        $stamp = $record->stamps[$kind->value] ?? null;
        $kept = $this->kept->take($record->id, $kind->value, $stamp);
        if ($kept !== null && is_array($kept->value)) {
            /** @var array{ids: list<string>, blocks: array<string, list<string>>} $columns */
            $columns = $kept->value;
            /** @var list<array<string, Thing|null>> $changes */
            $changes = $kept->changes;
            $things = Things::from($kind->thing(), new Columns($columns['ids'], $columns['blocks'], Kept::unpackedList(...)));

            return $changes === [] ? $things : $things->with(array_merge(...$changes));
        }
        $read = [];
        foreach (ThingTables::things($kind, ThingRecord::of($kind, $record->id)->toBase()->get()) as $thing) {
            $link = $thing instanceof Endpoint ? $links?->find($thing->linkId) : null;
            $read[$thing->id()] = $this->shapes->completed($thing, $link instanceof Link ? $link : null);
        }
        $things = Things::of($kind->thing(), $read);
        if ($stamp !== null) {
            $this->kept->keep($record->id, $kind->value, $stamp, $things->packed(Kept::packed(...)));
        }

        return $things;
    }

    /** @return array<string, string> by kind, for what an edit touched and for what had none yet; and one for the findings */
    private function freshStamps(PlanRecord $record, Edited $edited): array
    {
        $fresh = [self::FINDINGS => (string) new Ulid];
        foreach (ThingKind::cases() as $kind) {
            if (isset($edited->touched[$kind->value]) || ! isset($record->stamps[$kind->value])) {
                $fresh[$kind->value] = (string) new Ulid;
            }
        }

        return $fresh;
    }

    /**
     * Things that refer to others of their kind, which may come later or refer back, are first written without that.
     *
     * @param  list<Thing>  $things
     */
    private function putThings(ThingKind $kind, string $planId, array $things): void
    {
        $within = array_fill_keys(ThingTables::columnsWithin($kind), null);
        foreach ($within === [] ? [[]] : [$within, []] as $blank) {
            foreach (array_chunk($things, self::ROWS_AT_ONCE) as $some) {
                $rows = array_map(static fn (Thing $thing): array => [...ThingTables::row($thing, $planId), ...$blank], $some);
                ThingRecord::of($kind, $planId)->upsert($rows, ['plan_id', 'id']);
            }
        }
    }

    /** Those kept with the version, or else worked out and kept now. */
    private function findings(PlanRecord $record, Plan $plan): Findings
    {
        $stamp = $record->stamps[self::FINDINGS] ?? null;
        $kept = $this->kept->take($record->id, self::FINDINGS, $stamp)?->list();
        if ($kept !== null) {
            /** @var array<string, array{subjects?: list<string>, ranks?: array<string, int>, packed?: string}> $kept */
            return new Findings(array_map(static fn (array $one): Found => Found::from($one, Kept::unpackedArray(...)), $kept));
        }
        $findings = $this->checker->check($plan);
        if ($stamp !== null) {
            $this->kept->keep($record->id, self::FINDINGS, $stamp, self::packed($findings->found));
        }

        return $findings;
    }

    /**
     * @param  array<string, Found>  $found  by rule
     * @return array<string, mixed>
     */
    private static function packed(array $found): array
    {
        return array_map(static fn (Found $one): array => $one->packed(Kept::packed(...)), $found);
    }
}
