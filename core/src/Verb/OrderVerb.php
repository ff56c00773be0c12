<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\OrderFixes;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\ReaderKind;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Document\Node;

/** Does each stick move what it should, and if not, where can that be mended? */
final class OrderVerb implements Verb
{
    public static function name(): string
    {
        return 'order';
    }

    public static function summary(): string
    {
        return 'Traces the four sticks from handset to reader and lists every fix for a wrong order.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        $handset = ChannelOrder::of($node->text('handset'));
        $readerNode = $node->node('reader');
        assert($readerNode !== null);
        $reader = ChannelOrder::of($readerNode->text('order'));
        $module = $node->node('module');
        $remaps = $module === null ? [] : [new Remap(ChannelOrder::of($module->text('expects')), ChannelOrder::of($module->text('sends')))];
        $trace = new OrderTrace($handset, $reader, $remaps);

        return (object) [
            'correct' => $trace->isCorrect(),
            'trace' => $trace->sticks(),
            'fixes' => OrderFixes::for(
                $trace,
                ReaderKind::from($readerNode->text('kind')),
                $module === null ? null : new OrderTrace($handset, $reader),
            ),
        ];
    }
}
