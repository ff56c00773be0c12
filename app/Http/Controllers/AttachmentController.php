<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FileType;
use App\Actions\KeepAttachment;
use App\Actions\Moment;
use App\Http\Answer;
use App\Http\CaptureUpload;
use App\Models\Attachment;
use App\Models\Rig;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Linguator\Core\Document\DocumentError;

/** Files kept with entries of a rig's history. */
final readonly class AttachmentController
{
    public function store(Request $request, Rig $rig, int $position, KeepAttachment $keep): JsonResponse
    {
        $file = $request->file('file');
        CaptureUpload::refuseWithoutRoom($file);
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            throw DocumentError::at('file', 'Found no file, or one that did not arrive whole; expected one of at most '.(KeepAttachment::MAX_BYTES / 1_048_576).' MB.', 'missing_file');
        }
        $attachment = $keep($rig, $position, $file->getClientOriginalName(), (string) $file->getContent(), Moment::now());

        return Answer::json($attachment->listed(), 201);
    }

    /** Shown as what it is and nothing else: no sniffing, no scripts, its own sandbox. */
    public function show(Attachment $attachment): Response
    {
        $type = $attachment->type === 'text/plain' ? 'text/plain; charset=utf-8' : $attachment->type;

        return new Response($attachment->content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => ($attachment->type === FileType::BYTES ? 'attachment' : 'inline').'; filename="attachment-'.$attachment->id.'"',
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
