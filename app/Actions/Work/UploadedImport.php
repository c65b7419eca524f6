<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Imports\DomainFinder;
use App\Actions\Imports\ImportOptions;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\Task;
use App\Models\Upload;
use App\Support\Store\LocalCopy;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;

/**
 * What a person wants done with an upload, as it travels through the queue.
 *
 * @phpstan-type Payload array{upload: string, kind: string, domain: string, date: string, channel: string, mapping: array<string,
 *     string>, allow_errors: int, header_line?: int}
 */
final readonly class UploadedImport
{
    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    public static function uploadOf(Task $task): string
    {
        /** @var Payload $payload */
        $payload = $task->payload;

        return $payload['upload'];
    }

    /** @throws UserError when the upload is gone or the domain is not the study's */
    public function of(Task $task, bool $isDryRun): ImportOptions
    {
        /** @var Payload $payload */
        $payload = $task->payload;
        $study = Study::query()->with('domains')->findOrFail($task->study_id);
        $upload = Upload::query()->where('study_id', $study->id)->find($payload['upload']);
        $file = $upload === null ? null : LocalCopy::of($upload->stored());
        if ($upload === null || $file === null) {
            throw UserError::because('upload', 'The file has been deleted. Upload it again.');
        }

        return new ImportOptions(
            $study,
            ImportKind::from($payload['kind']),
            $file->path,
            $upload->file_name,
            $payload['date'],
            $payload['domain'] === '' ? null : (new DomainFinder($study, $this->suffixes))->get($payload['domain']),
            $payload['channel'],
            $payload['mapping'],
            $payload['allow_errors'],
            $isDryRun,
            $task->user_id,
            headerLine: $payload['header_line'] ?? 1,
            held: $file,
        );
    }
}
