"""What the actions do to grooves: taken, drawn, blended, kept, read and written."""

from collections.abc import Callable
from pathlib import Path

from chronotome.errors import ChronotomeError
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.grooves import SUFFIX, keep_groove, read_groove, write_groove
from chronotome.files.headless import groove_from
from chronotome.session.edits.grooves import change_groove, groove_of, play_groove, remove_groove
from chronotome.session.groove import (
    Groove,
    mirrored,
    repeated,
    rotated,
    smoothed,
    with_step,
)
from chronotome.session.model import Session, replace
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr


class GrooveCommands:
    """The groove in the lane, and where it comes from and goes to."""

    def __init__(self, desk: UiContext, tighten: TightenCommands) -> None:
        self._desk = desk
        self._tighten = tighten

    @property
    def groove(self) -> Groove | None:
        """The groove that the tray's recipe plays."""
        return self._desk.session.groove(self._desk.view.recipe.groove)

    def play(self, groove: Groove | None) -> None:
        """Tighten to a groove, or to the straight grid."""
        scope = self._desk.view.scope
        words = tr("Straight grid") if groove is None else tr("Groove {0}", groove.name)
        self._tighten.edit(
            lambda session, track, take: play_groove(session, track, take, groove, scope), words
        )

    def hear(self, groove: Groove | None) -> None:
        """Tighten by a groove as long as one listens; None: as it was."""
        if groove is None:
            self._desk.store.drop_draft()
            return
        scope = self._desk.view.scope
        self._desk.store.draft(
            self._desk.leading_edit(
                lambda session, track, take: play_groove(session, track, take, groove, scope)
            )
        )

    def next_groove(self) -> None:
        """Go round the session's grooves and the straight grid, while it plays too."""
        every = [None, *self._desk.session.grooves]
        at = next((number for number, each in enumerate(every) if each is self.groove), 0)
        chosen = every[(at + 1) % len(every)]
        self.play(chosen)
        self._desk.say(tr("Straight grid") if chosen is None else tr("Groove “{0}”", chosen.name))

    def take(self, bars: int = 1) -> None:
        """Take a groove from the focused track: from its chosen hits or its span where there are such."""
        track, clip, view = self._desk.view.chosen.focused, self._desk.view.chosen.clip, self._desk.view
        if track is None or clip is None:
            self._desk.say(tr("No recording here. Select a track with a recording."))
            return
        scope, session = view.scope, self._desk.session
        found = groove_of(session, track, clip.take, view.recipe.grid, bars, scope.hits, scope.span)
        if not found.steps:
            self._desk.say(tr("No hits for a groove. Detect onsets first."))
            return
        self._bring(found, tr("Extract groove from {0}", track.name))
        sure = tr(", accurate to ±{0:.1f} ms", found.sure_to) if found.sure_to else ""
        self._desk.say(
            tr(
                "“{0}”: {1} steps{2}. Select a track to preview the groove.",
                found.name,
                len(found.steps),
                sure,
            )
        )

    def _bring(self, groove: Groove, label: str) -> None:
        """A groove for the session, without a recipe that plays it yet."""

        def edit(session: Session) -> Session:
            new = replace(groove, id=session.next_id, name=_free_name(session, groove.name))
            return replace(session, grooves=(*session.grooves, new), next_id=session.next_id + 1)

        self._desk.store.apply(edit, label)
        self._desk.view.show_groove(self._desk.session.grooves[-1].id)
        self._desk.view.show_evidence(Stage.TIGHTEN, "groove")

    def change(self, change: Callable[[Groove], Groove], label: str) -> None:
        """Change the groove in the lane."""
        groove = self._desk.groove
        if groove is None:
            self._desk.say(tr("No groove yet. Extract one from a track, or choose one in the tray."))
            return
        number = groove.id
        self._desk.store.apply(lambda session: change_groove(session, number, change), label)

    def smooth(self) -> None:
        self.change(smoothed, tr("Smooth groove"))

    def mirror(self) -> None:
        self.change(mirrored, tr("Mirror groove timing"))

    def rotate(self, by: int) -> None:
        self.change(lambda groove: rotated(groove, by), tr("Rotate groove"))

    def repeat(self, bars: int) -> None:
        self.change(lambda groove: repeated(groove, bars), tr("Set groove length"))

    def nudge_step(self, step: int, milliseconds: float) -> None:
        def later(groove: Groove) -> Groove:
            if step >= len(groove.steps):
                return groove
            return with_step(groove, step, offset_ms=groove.steps[step].offset_ms + milliseconds)

        self.change(later, tr("Move groove step"))

    def remove(self) -> None:
        groove = self._desk.groove
        if groove is not None:
            number = groove.id
            self._desk.store.apply(lambda session: remove_groove(session, number), tr("Remove groove"))

    def keep(self) -> None:
        """In the person's library, for every session."""
        groove = self._desk.groove
        if groove is None:
            self._desk.say(tr("No groove to save. Extract one first."))
            return
        path = keep_groove(groove)
        self._desk.view.library_changed.emit()
        self._desk.say(tr("Saved “{0}” in the library as {1}", groove.name, path.name))

    def ask_and_read(self) -> None:
        sounds = " ".join(f"*{each}" for each in SUFFIXES)
        said = self._desk.ask.file(
            tr("Groove"),
            "",
            tr("Grooves and recordings (*{0} *.json *.mid *.midi {1})", SUFFIX, sounds),
        )
        if said is not None:
            self.read(said)

    def read(self, path: Path) -> None:
        """A groove from a file, or that of a recording; what is wrong with it is said."""
        if path.suffix.lower() in SUFFIXES:
            grid = self._desk.view.recipe.grid
            self._desk.tasks.run(
                tr("Extracting groove from {0}", path.name),
                lambda progress: groove_from(path, grid, 1, progress),
                lambda groove: self._bring(groove, tr("Groove from {0}", path.name)),
            )
            return
        try:
            groove = read_groove(path)
        except ChronotomeError as error:
            self._desk.tasks.error.emit(str(error))
            return
        self._bring(groove, tr("Import groove {0}", groove.name))

    def ask_and_write(self) -> None:
        groove = self._desk.groove
        if groove is None:
            self._desk.say(tr("No groove to export. Extract one first."))
            return
        said = self._desk.ask.new_file(
            tr("Export groove"),
            f"{groove.name}{SUFFIX}",
            tr("Groove (*{0});;MIDI (*.mid)", SUFFIX),
        )
        if said is not None:
            write_groove(said, groove)
            self._desk.say(tr("Exported “{0}” to {1}", groove.name, said.name))


def _free_name(session: Session, name: str) -> str:
    taken = {each.name for each in session.grooves}
    number = 2
    free = name
    while free in taken:
        free = f"{name} {number}"
        number += 1
    return free
