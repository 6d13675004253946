<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\Accounts;
use App\Models\User;
use Illuminate\Support\Str;

final class OpenAccount extends OperatorCommand
{
    protected $signature = 'account:open {email : of whoever it is for} {name : as others see it}';

    protected $description = 'Make an account and say its password here once; for servers on which nobody can register';

    public function handle(Accounts $accounts): int
    {
        $email = $this->text('email');
        if (User::at($email) !== null || filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            return $this->refuse('This is no e-mail address, or has an account already.');
        }
        $password = Str::password(20, symbols: false);
        $accounts->open(mb_substr($this->text('name'), 0, 80), $email, $password);
        $this->line($password);

        return self::SUCCESS;
    }
}
