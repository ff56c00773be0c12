<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Dance\ChannelRead;
use Linguator\Core\Dance\Deduction;
use Linguator\Core\Dance\Move;
use Linguator\Core\Dance\Prompt;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** The whole set-up out of twenty seconds of channel values, while somebody moves one control after the other. */
final class DanceVerb implements Verb
{
    public static function name(): string
    {
        return 'dance';
    }

    public static function summary(): string
    {
        return 'From a log of moves, asked for one after the other, to channels, order, ends, levels and what to set; what is not certain is to be made again.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $log = ChannelLog::fromNodes($node->nodes('log'));
        $script = Move::script($node);
        $settings = self::settings($node, count($log->columns));
        $deduction = new Deduction($log, $script, Prompt::all($node, count($script)), $node->textOrNull('expect'));

        return (object) (get_object_vars($deduction->answer()) + [
            'proposals' => (object) array_filter(['tune' => self::tune($node, $deduction, $settings), 'thresholds' => self::thresholds($deduction)]),
        ]);
    }

    /**
     * @return array<int, \stdClass> By channel.
     *
     * @throws DocumentError if a channel is not in the log.
     */
    private static function settings(Node $node, int $channels): array
    {
        $settings = [];
        foreach ($node->nodes('settings') as $k => $entry) {
            $channel = $entry->int('channel');
            if ($channel > $channels) {
                throw DocumentError::at("settings.$k.channel", "Found channel $channel; expected one of the log's $channels.", 'no_such_channel');
            }
            $settings[$channel] = (object) ['lo_pct' => $entry->number('lo_pct'), 'hi_pct' => $entry->number('hi_pct'), 'subtrim' => $entry->number('subtrim')];
        }

        return $settings;
    }

    /**
     * The answer of `tune` for the sticks that were found; null: nothing can be asked of it.
     *
     * @param  array<int, \stdClass>  $settings
     */
    private static function tune(Node $node, Deduction $deduction, array $settings): ?object
    {
        $channels = [];
        foreach (Letter::cases() as $letter) {
            $read = $deduction->stick($letter);
            if ($read !== null && isset($settings[$read->channel])) {
                $channels[] = (object) ['name' => $letter->value, 'settings' => $settings[$read->channel], 'measured' => self::measured($read), 'reverse' => false, 'centre' => $letter !== Letter::Throttle];
            }
        }
        if ($channels === [] || ! $node->has('target') || ! $node->has('handset')) {
            return null;
        }

        return (new TuneVerb)((object) ['handset' => $node->get('handset'), 'target' => $node->get('target'), 'channels' => $channels]);
    }

    private static function thresholds(Deduction $deduction): ?object
    {
        $throttle = $deduction->stick(Letter::Throttle);

        return $throttle === null || $throttle->isReversed() === true ? null : (new ThresholdsVerb)((object) (get_object_vars(self::measured($throttle)) + ['noise_sigma' => round($throttle->noiseUs, 2)]));
    }

    /** The throttle has no middle of its own. */
    private static function measured(ChannelRead $read): \stdClass
    {
        [$lo, $hi] = [$read->low()->us ?? 0.0, $read->high()->us ?? 0.0];

        return (object) ['lo' => round($lo, 1), 'mid' => round($read->mid ?? ($lo + $hi) / 2, 1), 'hi' => round($hi, 1)];
    }
}
