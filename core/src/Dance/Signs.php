<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\Node;

/** What the sticks say that a dance has found already, while a move of another one is asked for. */
final readonly class Signs
{
    /** @var list<KnownStick> */
    private array $sticks;

    /**
     * @param  list<Node>  $known  Channels as the dance told them.
     * @param  Letter|null  $asked  The stick that is asked for now: it moves for itself.
     */
    public function __construct(array $known, ?Letter $asked)
    {
        $this->sticks = array_values(array_filter(array_map(KnownStick::fromNode(...), $known), static fn (?KnownStick $stick): bool => $stick !== null && $stick->letter !== $asked));
    }

    /** In words, how one of them says it; null: none can yet. */
    public function words(): ?string
    {
        $stick = $this->sticks[0] ?? null;
        if ($stick === null) {
            return null;
        }
        [$first, $second] = $stick->letter === Letter::Elevator ? ['up', 'down'] : ['right', 'left'];

        return sprintf('No hand free? Hold the %s %s for %g s to skip this, %s to be asked once more, for %g s to stop.', $stick->letter->functionName(), $first, Sign::SIGN_MS / 1000, $second, Sign::STOP_MS / 1000);
    }

    /** @param  float  $sinceMs  When the move was asked for. */
    public function said(ChannelLog $log, float $sinceMs): ?Sign
    {
        foreach ($this->sticks as $stick) {
            $sign = $stick->channel > count($log->columns) ? null : Sign::of($log, $stick, $sinceMs);
            if ($sign !== null) {
                return $sign;
            }
        }

        return null;
    }
}
