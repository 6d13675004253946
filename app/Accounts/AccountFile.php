<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\PlanStore;
use App\Views\HistoryView;
use Illuminate\Support\Str;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Text\FileName;
use RuntimeException;
use ZipArchive;

/** All that is kept of an account, to be taken along: who it is, and a file for each plan it may look at, which can be imported again. */
final readonly class AccountFile
{
    public function __construct(private PlanStore $store)
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
        $plans = [];
        foreach (PlanRecord::ofUser($user)->oldest('plans.id')->get() as $at => $record) {
            $name = FileName::of(sprintf('%03d-%s', $at + 1, Str::slug($record->name, '-', 'en')), '.json');
            $zip->addFromString("plans/{$name}", (new PlanWriter)->write($this->store->look($user, $record->id)->plan));
            $plans[] = ['file' => "plans/{$name}", 'name' => $record->name, 'access' => $record->access?->value, 'edits' => HistoryView::of($record)];
        }
        $zip->addFromString('account.json', json_encode(['name' => $user->name, 'email' => $user->email, 'plans' => $plans], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
        if (! $zip->close()) {
            throw new RuntimeException('The archive cannot be written.');
        }
    }
}
