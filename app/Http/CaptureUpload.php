<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Format\FormatCardText;

/** A capture that has been uploaded, and the fields beside it. */
final readonly class CaptureUpload
{
    private const NUMBERS = ['frames', 'max_rate'];

    private function __construct(public string $name, private string $path, public \stdClass $options)
    {
    }

    /** @throws DocumentError if there is no file, or it did not arrive whole. */
    public static function of(Request $request): self
    {
        $file = $request->file('capture');
        if (! $file instanceof UploadedFile) {
            throw DocumentError::at('capture', 'Found no file; expected a capture as multipart upload under the name "capture", of at most 64 MB.', 'missing_key');
        }
        if (! $file->isValid()) {
            self::refuseWithoutRoom($file);
            throw in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true)
                ? DocumentError::at('capture', 'The capture is larger than can be taken; expected at most 64 MB. The command linguator:decode takes files of any size.', 'too_large')
                : DocumentError::at('capture', 'The capture did not arrive whole; send it again.', 'incomplete');
        }

        $fields = (array) $request->post();
        $card = $request->file('card');

        return new self($file->getClientOriginalName(), $file->getRealPath() ?: '', self::options($card instanceof UploadedFile ? ['card' => (string) $card->getContent()] + $fields : $fields));
    }

    /** What could not be put down here is not the sender's fault. */
    public static function refuseWithoutRoom(mixed $file): void
    {
        if ($file instanceof UploadedFile && in_array($file->getError(), [UPLOAD_ERR_CANT_WRITE, UPLOAD_ERR_NO_TMP_DIR], true)) {
            throw new \RuntimeException('No space left on device: an upload could not be put down.');
        }
    }

    /** @return resource */
    public function stream(): mixed
    {
        $stream = fopen($this->path, 'rb');

        return $stream === false ? throw DocumentError::at('capture', 'The capture cannot be read again; send it once more.', 'incomplete') : $stream;
    }

    /** @param  array<mixed>  $fields */
    private static function options(array $fields): \stdClass
    {
        unset($fields['_token']);
        $options = new \stdClass;
        foreach ($fields as $key => $value) {
            $options->{$key} = match (true) {
                in_array($key, self::NUMBERS, true) && is_string($value) && is_numeric($value) => $value + 0,
                $key === 'card' && is_string($value) => self::card($value),
                default => $value,
            };
        }

        return $options;
    }

    private static function card(string $text): mixed
    {
        try {
            return FormatCardText::value($text);
        } catch (DocumentError $error) {
            throw $error->inside('card');
        }
    }
}
