<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\Accounts;
use App\Models\User;
use Illuminate\Support\Str;

final class ResetPassword extends OperatorCommand
{
    protected $signature = 'account:reset {email : of the account}';

    protected $description = 'Give an account a new password, say it here once, and end all its sessions';

    public function handle(Accounts $accounts): int
    {
        $user = User::at($this->text('email'));
        if ($user === null) {
            return $this->refuse('There is no account with this address.');
        }
        $password = Str::password(20, symbols: false);
        $accounts->changePassword($user, $password, null);
        $this->line($password);

        return self::SUCCESS;
    }
}
