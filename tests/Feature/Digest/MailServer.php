<?php

declare(strict_types=1);

namespace Tests\Feature\Digest;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** A real SMTP server (aiosmtpd) that keeps what it gets as files. */
final class MailServer
{
    private function __construct(private readonly Process $process, private readonly string $folder)
    {
    }

    public static function start(): self
    {
        $folder = sys_get_temp_dir().'/reach-mail-'.bin2hex(random_bytes(4));
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $port = (int) preg_replace('/^.*:/', '', (string) stream_socket_get_name($socket, false));
        fclose($socket);
        $process = new Process(
            ['/usr/bin/python3', '-m', 'aiosmtpd', '-n', '-c', 'aiosmtpd.handlers.Mailbox', $folder, '-l', "127.0.0.1:{$port}"],
        );
        $process->start();
        $until = hrtime(true) + 30 * 1e9;
        while (($open = @fsockopen('127.0.0.1', $port)) === false) {
            hrtime(true) < $until || throw new \RuntimeException('The mail server does not start: '.$process->getErrorOutput());
            usleep(50_000);
        }
        fclose($open);
        config(['mail.mailers.smtp.host' => '127.0.0.1', 'mail.mailers.smtp.port' => $port, 'mail.from.address' => 'reach@us.example']);
        app('mail.manager')->purge('smtp');

        return new self($process, $folder);
    }

    /** @return list<string> the mails as they came, the oldest first */
    public function mails(): array
    {
        $files = File::isDirectory($this->folder.'/new') ? File::files($this->folder.'/new') : [];
        usort($files, static fn(\SplFileInfo $one, \SplFileInfo $other): int => $one->getMTime() <=> $other->getMTime());

        return array_map(static fn(\SplFileInfo $file): string => (string) file_get_contents($file->getPathname()), $files);
    }

    public function stop(): void
    {
        $this->process->stop(5);
        File::deleteDirectory($this->folder);
    }
}
