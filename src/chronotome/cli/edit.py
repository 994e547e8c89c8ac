"""The command `edit`: what can be done to a session by name, saved as another session."""

import argparse
import sys

from chronotome.errors import CannotWrite, ChronotomeError
from chronotome.files.session_file import check_place, load_session, refuse_lost, save_session
from chronotome.progress import Progress, part_of
from chronotome.session.actions import ACTIONS, acted
from chronotome.session.model import Session, TrackId


class Refused(ChronotomeError):  # noqa: N818 - reads as what happened
    """What was asked for cannot be done; it says why."""


def _listed() -> str:
    rows = []
    for name, action in ACTIONS.items():
        values = ",".join(value.name for value in action.values)
        call = f"{name}={values}" if values else name
        rows.append(f"{call:<28}{action.words}{' (track)' if action.of_track else ''}\n")
    return "".join(rows)


def _meant(session: Session, names: list[str]) -> list[TrackId]:
    for name in names:
        if not any(track.name == name for track in session.tracks):
            known = ", ".join(f"“{track.name}”" for track in session.tracks)
            raise Refused(f"There is no track “{name}”. Tracks are: {known}.")
    return [track.id for track in session.tracks if not names or track.name in names]


def edit(arguments: argparse.Namespace, progress: Progress) -> None:
    if arguments.list:
        sys.stdout.write(_listed())
        return
    if arguments.session is None or arguments.out is None or not arguments.actions:
        raise Refused("Give a session, at least one action, and --out FOLDER; --list prints the actions.")
    opened = load_session(arguments.session, part_of(progress, 0.0, 0.5))
    history, out = opened.history, arguments.out.absolute()
    for asked in arguments.actions:
        name, _, values = asked.partition("=")
        try:
            after = acted(
                history.session,
                name,
                values.split(",") if values else (),
                _meant(history.session, arguments.track),
            )
        except ValueError as error:
            raise Refused(f"{str(error)[0].upper()}{str(error)[1:]}. --list prints the actions.") from None
        history = history.then(after, ACTIONS[name].words)
    check_place(out)
    if out.exists() and any(out.iterdir()):
        raise CannotWrite(out, "the folder is not empty", "Choose a new folder.")
    refuse_lost(history, opened.places, part_of(progress, 0.5, 0.6))
    save_session(out, history, opened.places, part_of(progress, 0.6, 1.0))
    print(out)
