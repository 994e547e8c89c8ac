"""Where the program starts: the command line, or the window."""

import os
import sys
from collections.abc import Sequence

from chronotome import cli


def main(words: Sequence[str] | None = None) -> int:
    arguments = cli.parsed(sys.argv[1:] if words is None else words)
    if arguments.command is None:
        cli.parser().print_help()
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
    sys.stderr = os.fdopen(own, "w", buffering=1, errors="backslashreplace")
    nowhere = os.open(os.devnull, os.O_WRONLY)
    os.dup2(nowhere, 2)
    os.close(nowhere)


if __name__ == "__main__":
    speak_alone()
    sys.exit(main())
