<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepCapture;
use App\Actions\Moment;
use App\Http\Answer;
use App\Http\CaptureUpload;
use App\Http\RequestDocument;
use App\Models\Capture;
use App\Models\Format;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Linguator\Core\Capture\CaptureKind;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCard;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Format\Formats;
use Linguator\Core\StandIn\Recording;
use Linguator\Core\StandIn\StandInOptions;

/** Captures on the signal desk: brought in as a file, pasted, taken from the samples, or sent by a stand-in. */
final readonly class CaptureController
{
    private const LISTED = 50;

    public function index(Formats $formats): JsonResponse
    {
        return Answer::json([
            'captures' => array_map(static fn (Capture $capture): array => $capture->listed(), array_slice(Capture::desk(), 0, self::LISTED)),
            'samples' => array_map(static fn (string $file): string => basename($file), self::samples()),
            'formats' => array_map(static fn (FormatCard $card): array => ['id' => $card->id, 'name' => $card->name, 'channels' => $card->mostChannels, 'own' => FormatCards::get($card->id) === null], $formats->all()),
            'most_bytes' => KeepCapture::MAX_BYTES,
        ]);
    }

    public function store(Request $request, KeepCapture $keep, Schemas $schemas): JsonResponse
    {
        if ($request->hasFile('capture') || ! $request->isJson()) {
            $upload = CaptureUpload::of($request);

            return Answer::json($keep($upload->name, $upload->stream())->listed(), 201);
        }
        $document = RequestDocument::of($request);
        $capture = match (true) {
            $document->has('text') => $keep($document->text('name', 'pasted'), self::memory([$document->text('text')])),
            $document->has('sample') => $this->sample($document->text('sample'), $keep),
            default => $this->standIn($document, $keep, $schemas),
        };

        return Answer::json($capture->listed(), 201);
    }

    public function show(Capture $capture): JsonResponse
    {
        return Answer::json($capture->listed());
    }

    public function destroy(Capture $capture): JsonResponse
    {
        $capture->update(['gone_at' => Moment::now()]);

        return Answer::json(['gone' => $capture->id]);
    }

    /** Back on the desk, if it was a slip. */
    public function restore(Capture $capture): JsonResponse
    {
        $capture->update(['gone_at' => null]);

        return Answer::json($capture->listed());
    }

    private function sample(string $name, KeepCapture $keep): Capture
    {
        foreach (self::samples() as $file) {
            if (basename($file) === $name) {
                $stream = fopen($file, 'rb');
                assert($stream !== false);

                return $keep($name, $stream);
            }
        }
        throw DocumentError::at('sample', "There is no sample \"$name\".", 'no_such_sample');
    }

    private function standIn(RequestDocument $document, KeepCapture $keep, Schemas $schemas): Capture
    {
        $options = StandInOptions::of((object) $document->map('stand_in'), $schemas, Format::own($schemas));
        $kind = CaptureKind::tryFrom($document->text('kind', 'csv')) ?? throw DocumentError::at('kind', 'Expected hex, bin, csv, vcd or wav.');

        return $keep("stand-in, $options->format.$kind->value", self::memory(Recording::of($options, $kind)));
    }

    /** @return list<string> */
    private static function samples(): array
    {
        return array_values(array_filter(glob(config()->string('linguator.demo').'/captures/*') ?: [], static fn (string $file): bool => ! str_ends_with($file, '.md')));
    }

    /**
     * @param  iterable<string>  $chunks
     * @return resource
     */
    private static function memory(iterable $chunks): mixed
    {
        $stream = fopen('php://temp', 'w+b');
        assert($stream !== false);
        $size = 0;
        foreach ($chunks as $chunk) {
            $size += (int) fwrite($stream, $chunk);
            if ($size > KeepCapture::MAX_BYTES) {
                throw DocumentError::at('stand_in.seconds', 'So long a capture is larger than the '.intdiv(KeepCapture::MAX_BYTES, 1_000_000).' MB that are taken; expected fewer seconds. The command linguator:stand-in writes files of any size.', 'too_large');
            }
        }
        rewind($stream);

        return $stream;
    }
}
