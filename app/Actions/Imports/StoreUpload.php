<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Study;
use App\Models\Upload;
use App\Models\User;
use App\Support\Tabular\TableFile;
use App\Support\Tabular\TableReader;
use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use League\Flysystem\FilesystemException;

/** Stores a file as it was received, until it is imported. What cannot be stored or read leaves nothing behind. */
final readonly class StoreUpload
{
    public function __construct(private TableReader $reader)
    {
    }

    /**
     * @return array{Upload, ?TableFile} the file and its table; null for a large packed file, which only the queue unpacks
     *
     * @throws FileProblem when there is no room for it, or it is no table
     */
    public function execute(Study $study, User $user, UploadedFile $file): array
    {
        self::checkWaiting($user, (int) $file->getSize());
        $upload = new Upload([
            'study_id' => $study->id,
            'user_id' => $user->id,
            'file_name' => $file->getClientOriginalName(),
            'bytes' => (int) $file->getSize(),
        ]);
        $upload->id = (string) Str::uuid();
        $table = $this->reader->isSlowToOpen($file->getPathname()) ? null : $this->reader->open($file->getPathname());
        try {
            self::store($file, $upload);
            $upload->save();
        } catch (\Throwable $problem) {
            rescue(static fn() => Storage::delete($upload->stored()), report: false);
            throw $problem;
        }

        return [$upload, $table];
    }

    /** @throws FileProblem when so much of this person waits already that another file is too much */
    private static function checkWaiting(User $user, int $bytes): void
    {
        $waiting = Upload::query()->where('user_id', $user->id);
        [$files, $most] = [config()->integer('reach.waiting_files'), config()->integer('reach.waiting_bytes')];
        if ($waiting->count() >= $files || (int) $waiting->sum('bytes') + $bytes > $most) {
            throw FileProblem::tooMuchWaiting($files, $most);
        }
    }

    private static function store(UploadedFile $file, Upload $upload): void
    {
        try {
            Storage::putFileAs(Upload::FOLDER, $file, $upload->id);
            $isStored = Storage::size($upload->stored()) === $upload->bytes;
        } catch (FilesystemException) {
            $isStored = false;
        }
        if (! $isStored) {
            throw FileProblem::noRoom();
        }
    }
}
