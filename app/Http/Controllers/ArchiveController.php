<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ArchiveBounds;
use App\Actions\ExportArchive;
use App\Actions\ImportArchive;
use App\Http\Answer;
use App\Http\CaptureUpload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Linguator\Core\Document\DocumentError;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Everything out as one archive, and back in with a preview. */
final readonly class ArchiveController
{
    public function export(ExportArchive $export): BinaryFileResponse
    {
        $file = @tempnam(sys_get_temp_dir(), 'linguator');
        if ($file === false) {
            throw new \RuntimeException('No space left on device, or no right to write: the archive cannot be made in '.sys_get_temp_dir().'.');
        }
        $export($file);

        return (new BinaryFileResponse($file, 200, ['Content-Type' => 'application/zip']))
            ->setContentDisposition('attachment', 'linguator-'.now()->format('Y-m-d').'.zip')
            ->deleteFileAfterSend();
    }

    public function preview(Request $request, ImportArchive $import): JsonResponse
    {
        return Answer::json($import->preview($this->file($request), ArchiveBounds::page()));
    }

    public function import(Request $request, ImportArchive $import): JsonResponse
    {
        return Answer::json($import->import($this->file($request), $request->input('replace') === '1', ArchiveBounds::page()));
    }

    private function file(Request $request): string
    {
        $file = $request->file('file');
        CaptureUpload::refuseWithoutRoom($file);

        return $file instanceof UploadedFile && $file->isValid()
            ? $file->getPathname()
            : throw DocumentError::at('file', 'Found no file, or one that did not arrive whole; expected an archive of at most 64 MB. The command linguator:import takes archives of any size.', 'missing_file');
    }
}
