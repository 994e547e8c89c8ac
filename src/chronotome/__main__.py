"""Where the program starts: the command line, or the window."""

import io
import os
import sys
from collections.abc import Sequence

from chronotome import cli
from chronotome.cli.arguments import parser


def main(words: Sequence[str] | None = None) -> int:
    for stream in (sys.stdout, sys.stderr):  # a terminal that has no “ ” gets a question mark
        if isinstance(stream, io.TextIOWrapper):
            stream.reconfigure(errors="replace")
    arguments = cli.parsed(sys.argv[1:] if words is None else words)
    if arguments.command is None:
        parser().print_help()
        return 2
    if arguments.command not in {"open", "demo", "shot"}:
        return cli.run(arguments)
    from chronotome.ui.language import speak  # noqa: PLC0415 - no Qt unless a window or a picture is wanted

    speak()
    from chronotome.ui.application import run  # noqa: PLC0415 - texts are looked up as it is imported

    return run(arguments)


def speak_alone() -> None:
    """Keep stderr for ourselves: decoders in C write to it whatever they think of a file."""
    try:
        own = os.dup(2)
    except OSError:  # there is none
        return
    sys.stderr = os.fdopen(own, "w", buffering=1, encoding=sys.stderr.encoding, errors="backslashreplace")
    nowhere = os.open(os.devnull, os.O_WRONLY)
    os.dup2(nowhere, 2)
    os.close(nowhere)


if __name__ == "__main__":
    speak_alone()
    sys.exit(main())
