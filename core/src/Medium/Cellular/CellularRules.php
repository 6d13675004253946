<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Cellular\Rule\AccessPointWrong;
use Rundfunk\Medium\Cellular\Rule\AnsweredTwice;
use Rundfunk\Medium\Cellular\Rule\CallerUnlisted;
use Rundfunk\Medium\Cellular\Rule\CallOpens;
use Rundfunk\Medium\Cellular\Rule\CallsAlike;
use Rundfunk\Medium\Cellular\Rule\NetworkClosing;
use Rundfunk\Medium\Cellular\Rule\NoAnswer;
use Rundfunk\Medium\Cellular\Rule\NumberShared;
use Rundfunk\Medium\Cellular\Rule\NumberWrong;
use Rundfunk\Medium\Cellular\Rule\ObeysAnyone;
use Rundfunk\Medium\Cellular\Rule\OffTextMissing;
use Rundfunk\Medium\Cellular\Rule\RateOff;
use Rundfunk\Medium\Cellular\Rule\ReportAddressWrong;
use Rundfunk\Medium\Cellular\Rule\ReportEmpty;
use Rundfunk\Medium\Cellular\Rule\ReportInClear;
use Rundfunk\Medium\Cellular\Rule\SoftwareTooFast;
use Rundfunk\Medium\Cellular\Rule\StateByText;
use Rundfunk\Medium\Cellular\Rule\SupplySags;
use Rundfunk\Medium\Cellular\Rule\TextTooLong;
use Rundfunk\Medium\Cellular\Rule\TextUnproved;
use Rundfunk\Medium\Cellular\Rule\ToggleByText;
use Rundfunk\Medium\Cellular\Rule\WordLies;
use Rundfunk\Medium\Cellular\Rule\WordMissing;
use Rundfunk\Medium\Cellular\Rule\WordsClash;
use Rundfunk\Medium\Cellular\Rule\WrongVariant;

/** Its rules, in the order in which their findings are listed. */
final readonly class CellularRules implements HasRules
{
    public function rules(): array
    {
        return [
            new NumberWrong,
            new NumberShared,
            new CallerUnlisted,
            new ObeysAnyone,
            new CallOpens,
            new TextUnproved,
            new ToggleByText,
            new WordLies,
            new OffTextMissing,
            new CallsAlike,
            new WordMissing,
            new WordsClash,
            new NoAnswer,
            new AnsweredTwice,
            new StateByText,
            new TextTooLong,
            new SupplySags,
            new RateOff,
            new SoftwareTooFast,
            new NetworkClosing,
            new WrongVariant,
            new ReportAddressWrong,
            new AccessPointWrong,
            new ReportInClear,
            new ReportEmpty,
        ];
    }
}
