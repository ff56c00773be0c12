<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\ChannelLog;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;

/** What a dance says: which control rides on which channel, how far it goes, and what is not certain. Nothing is deduced from what is not. */
final readonly class Deduction
{
    /** @var list<MoveRead> One for each move of the script. */
    public array $moves;

    /** @var list<ChannelRead> */
    public array $channels;

    /** Letters by channel, as an order is told; null: not all four are found on channels 1 to 4. */
    public ?string $order;

    /** @var list<DanceFinding> */
    public array $findings;

    /**
     * @param  list<Move>  $script
     * @param  list<Prompt>|null  $prompts  Null: nobody was prompted.
     * @param  string|null  $expected  The order that is wanted.
     */
    public function __construct(ChannelLog $log, private array $script, ?array $prompts = null, ?string $expected = null)
    {
        $dropouts = Dropouts::in($log);
        $lines = self::lines($log, $dropouts);
        $ways = array_merge(...array_map(static fn (Line $line): array => $line->ways, $lines));
        usort($ways, static fn (Way $a, Way $b): int => $a->fromMs <=> $b->fromMs);
        $prompted = $prompts === null ? null : new PromptedReading($script, $prompts, $ways);
        $this->moves = self::apart($prompted?->moves() ?? (new FreeReading($script, $ways))->moves());
        $rests = new Rests($ways, array_values(array_filter($prompts ?? [], static fn (Prompt $prompt): bool => $script[$prompt->move]->kind === MoveKind::Rest)), $log->times[0], $log->times[$log->count() - 1]);
        $this->channels = array_map(fn (Line $line): ChannelRead => $this->channel($line, $rests), $lines);
        $this->order = $this->orderFound();
        $this->findings = (new DanceFindings($this->moves, $this->channels, $this->order, $expected, $prompted?->atRest() ?? [], $dropouts->begins))->all();
    }

    /** All of it but what would be set, as the verb answers. */
    public function answer(): \stdClass
    {
        return (object) [
            'moves' => array_map(static fn (int $k, MoveRead $read): \stdClass => $read->answer($k), array_keys($this->moves), $this->moves),
            'channels' => $this->channels,
            'order' => $this->order,
            'redo' => $this->redo(),
            'findings' => $this->findings,
        ];
    }

    /** @return list<int> Moves that have to be made again, from 0. */
    public function redo(): array
    {
        return array_keys(array_filter($this->moves, static fn (MoveRead $read): bool => ! $read->state->isFound()));
    }

    /** The stick of a letter; null: it was not found. */
    public function stick(Letter $letter): ?ChannelRead
    {
        foreach ($this->channels as $read) {
            if ($read->move?->letter === $letter) {
                return $read;
            }
        }

        return null;
    }

    /** @return list<Line> */
    private static function lines(ChannelLog $log, Dropouts $dropouts): array
    {
        $used = array_keys(array_filter($dropouts->isUsed));
        $times = array_map(static fn (int $row): float => $log->times[$row], $used);
        // A cut before rows that are not used stands before the first one that is.
        [$cuts, $isCut] = [[], false];
        foreach ($dropouts->isUsed as $row => $isUsed) {
            $isCut = $isCut || $dropouts->isCut[$row];
            if ($isUsed) {
                [$cuts[], $isCut] = [$isCut, false];
            }
        }
        $lines = [];
        foreach ($log->columns as $k => $values) {
            $lines[] = new Line($k + 1, $times, array_map(static fn (int $row): float => $values[$row], $used), $cuts, $log->periodMs());
        }

        return $lines;
    }

    /**
     * Two moves that name the same channel are both uncertain.
     *
     * @param  list<MoveRead>  $moves
     * @return list<MoveRead>
     */
    private static function apart(array $moves): array
    {
        $counts = array_count_values(array_filter(array_map(static fn (MoveRead $read): ?int => $read->way?->line->channel, $moves), is_int(...)));

        return array_map(static fn (MoveRead $read): MoveRead => ($counts[$read->way->line->channel ?? 0] ?? 0) > 1 ? MoveRead::unclear($read->event) : $read, $moves);
    }

    private function channel(Line $line, Rests $rests): ChannelRead
    {
        foreach ($this->moves as $k => $read) {
            if ($read->way?->line->channel === $line->channel) {
                return ChannelRead::of($line, $rests, $this->script[$k], $read->way);
            }
        }

        return ChannelRead::without($line, $rests);
    }

    private function orderFound(): ?string
    {
        $order = [];
        foreach ($this->channels as $read) {
            if ($read->move?->letter !== null && $read->channel <= ChannelOrder::STICKS) {
                $order[$read->channel] = $read->move->letter;
            }
        }

        return count($order) === ChannelOrder::STICKS ? ChannelOrder::fromChannels($order)->toString() : null;
    }
}
