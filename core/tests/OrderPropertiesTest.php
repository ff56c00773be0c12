<?php

declare(strict_types=1);

use Eris\Generators;
use Eris\TestTrait;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Channel\InvalidChannelOrder;
use Linguator\Core\Channel\OrderFixes;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\ReaderKind;
use Linguator\Core\Channel\Remap;

uses(TestTrait::class);

function anyOrder(): Eris\Generator
{
    return Generators::elements(...array_map(fn (ChannelOrder $order) => $order->toString(), ChannelOrder::all()));
}

it('knows twenty-four orders, each a permutation', function () {
    $all = array_map(fn (ChannelOrder $order) => $order->toString(), ChannelOrder::all());
    expect($all)->toHaveCount(24)->and(array_unique($all))->toHaveCount(24);
});

it('takes nothing else for an order', function (string $letters) {
    expect(fn () => ChannelOrder::of($letters))->toThrow(InvalidChannelOrder::class);
})->with(['AETT', 'AET', 'AETRA', '', 'aetr', "AET\n"]);

it('brings any order through any remaps as a permutation', function () {
    $this->forAll(anyOrder(), anyOrder(), anyOrder(), anyOrder(), anyOrder())->then(function ($handset, $expects, $sends, $second, $reader) {
        $remaps = [new Remap(ChannelOrder::of($expects), ChannelOrder::of($sends)), new Remap(ChannelOrder::of($sends), ChannelOrder::of($second))];
        $arriving = (new OrderTrace(ChannelOrder::of($handset), ChannelOrder::of($reader), $remaps))->arriving()->toString();
        expect(count_chars($arriving, 3))->toBe('AERT');
    });
});

it('makes the trace correct by any fix it proposes', function () {
    $this->forAll(anyOrder(), anyOrder(), anyOrder(), anyOrder())->then(function ($handset, $expects, $sends, $reader) {
        [$from, $to] = [ChannelOrder::of($handset), ChannelOrder::of($reader)];
        $remap = new Remap(ChannelOrder::of($expects), ChannelOrder::of($sends));
        $trace = new OrderTrace($from, $to, [$remap]);
        foreach ([ReaderKind::Controller, ReaderKind::Pins] as $kind) {
            $fixes = OrderFixes::for($trace, $kind, new OrderTrace($from, $to));
            expect($fixes === [])->toBe($trace->isCorrect());
            foreach ($fixes as $fix) {
                $mended = match ($fix->at) {
                    FixPlace::Handset => new OrderTrace($fix->order, $to, [$remap]),
                    FixPlace::Controller => new OrderTrace($from, $fix->order, [$remap]),
                    FixPlace::Module => new OrderTrace($from, $to),
                    FixPlace::Plugs => new OrderTrace($from, ChannelOrder::fromChannels(array_column($fix->table, 'letter', 'pin')), [$remap]),
                };
                expect($mended->isCorrect())->toBeTrue("{$fix->at->value} for $handset, $expects to $sends, $reader");
            }
        }
    });
});
