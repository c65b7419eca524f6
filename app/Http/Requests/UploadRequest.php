<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A file to receive. */
final class UploadRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.intdiv(config()->integer('reach.max_upload'), 1024)]];
    }

    /** A full disk or a file that is too large shows itself before any rule is asked. */
    protected function prepareForValidation(): void
    {
        $file = $this->file('file');
        $error = $file instanceof UploadedFile ? $file->getError() : UPLOAD_ERR_OK;
        if ($error === UPLOAD_ERR_CANT_WRITE || $error === UPLOAD_ERR_NO_TMP_DIR) {
            throw FileProblem::noRoom();
        }
        if ($error === UPLOAD_ERR_INI_SIZE) {
            throw FileProblem::tooLarge(config()->integer('reach.max_upload'));
        }
        if ($error === UPLOAD_ERR_PARTIAL) {
            throw FileProblem::cutShort();
        }
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : throw FileProblem::empty();
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Sign in first.');
    }
}
