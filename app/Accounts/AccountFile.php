<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\Kept;
use App\Plans\PlanStore;
use App\Plans\Transaction;
use App\Views\HistoryView;
use Illuminate\Support\Str;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Text\FileName;
use RuntimeException;
use ZipArchive;

/** All that is kept of an account, to be taken along: who it is, and a file for each plan it may look at, which can be imported again. */
final readonly class AccountFile
{
    /** Level of zlib: a tenth larger than its best, in a quarter of the time. */
    private const QUICKLY = 1;

    public function __construct(private PlanStore $store, private Kept $kept)
    {
    }

    /** @return string a ZIP archive */
    public function of(User $user): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'account');
        try {
            $this->write($user, $path);

            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }

    private function write(User $user, string $path): void
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('The archive cannot be written.');
        }
        $plans = Transaction::of(function () use ($user, $zip): array {
            $plans = [];
            foreach (PlanRecord::ofUser($user)->oldest('plans.id')->get() as $at => $record) {
                $name = 'plans/'.FileName::of(sprintf('%03d-%s', $at + 1, Str::slug($record->name, '-', 'en')), '.json');
                $zip->addFromString($name, $this->fileOf($record));
                $zip->setCompressionName($name, ZipArchive::CM_DEFLATE, self::QUICKLY);
                $plans[] = ['file' => $name, 'name' => $record->name, 'access' => $record->access?->value, 'edits' => HistoryView::of($record)];
            }

            return $plans;
        });
        $zip->addFromString('account.json', json_encode(['name' => $user->name, 'email' => $user->email, 'plans' => $plans], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
        if (! $zip->close()) {
            throw new RuntimeException('The archive cannot be written.');
        }
    }

    /** Kept from archive to archive, as long as the plan is what it was. */
    private function fileOf(PlanRecord $record): string
    {
        $stamp = hash('sha256', json_encode([$record->version, $record->stamps], JSON_THROW_ON_ERROR));
        $kept = $this->kept->take($record->id, 'file', $stamp)?->value;
        if (is_string($kept)) {
            return $kept;
        }
        $file = (new PlanWriter)->write($this->store->load($record)->plan);
        $this->kept->keep($record->id, 'file', $stamp, $file);

        return $file;
    }
}
