"""What keys and menus do to kits."""

from chronotome.session.edits.kits import add_to_kit, declick, make_kit, set_kit, set_slice
from chronotome.session.kits import Kit, KitId, key_name
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.units import gain_of
from chronotome.words import tr


class KitCommands:
    """One method for each thing that can be done to a kit."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk
        self._kit: KitId | None = None
        """The kit that was made or looked at last."""

    @property
    def kit(self) -> Kit | None:
        """The kit of the clip that is worked on, else the one that was made last, else any."""
        clip, session = self._desk.view.chosen.clip, self._desk.session
        if clip is not None and clip.take.playing is not None:
            return session.kit_of(clip.take)
        known = {each.id: each for each in session.kits}
        if self._kit in known:
            return known[self._kit]
        return session.kits[-1] if session.kits else None

    def put_on_keys(self) -> None:
        """The hits of the clip, or the chosen ones, as a kit."""
        view, place = self._desk.view, self._desk.view.chosen.place
        is_played = self._desk.pattern is not None
        if place is None or is_played:
            self._desk.say(
                tr("These slices are already in a kit")
                if is_played
                else tr("Select a clip for the kit first")
            )
            return
        hits, before = view.chosen.hits, len(self._desk.session.kits)
        words = tr("Create kit from {0}", counted(len(hits), "hit")) if hits else tr("Create kit from hits")
        self._desk.store.apply(lambda session: make_kit(session, place, hits), words)
        if len(self._desk.session.kits) > before:
            kit = self._desk.session.kits[-1]
            self._kit = kit.id
            last = key_name(kit.slices[-1].key)
            self._desk.say(
                tr(
                    "{0} on keys Q to {1}. Press Ctrl+P to create a pattern.",
                    counted(len(kit.slices), "slice"),
                    last,
                )
            )

    def add_to_keys(self) -> None:
        """The chosen hits of another clip on the keys that are free."""
        place, kit, hits = self._desk.view.chosen.place, self.kit, self._desk.view.chosen.hits
        if place is None or kit is None:
            self._desk.say(tr("No kit yet. Create one with Ctrl+U."))
            return
        number = kit.id
        self._desk.store.apply(
            lambda session: add_to_kit(session, number, place, hits), tr("Add hits to kit")
        )
        now = len(self._desk.session.kit(number).slices)
        self._desk.say(tr("Added {0} to the kit: {1}", now - len(kit.slices), counted(now, "slice")))

    def set_kit(self, label: str, **values: object) -> None:
        kit = self.kit
        if kit is not None:
            number = kit.id
            self._desk.store.apply(lambda session: set_kit(session, number, **values), label)

    def toggle_fits(self) -> None:
        kit = self.kit
        if kit is not None:
            self.set_kit(
                tr("Fit kit to song tempo") if not kit.fits_song else tr("Play kit at recorded tempo"),
                fits_song=not kit.fits_song,
            )

    @property
    def fits(self) -> bool:
        return self.kit is not None and self.kit.fits_song

    def declick(self) -> None:
        """All slices of the kit come in and go out over a moment."""
        kit = self.kit
        if kit is not None:
            number = kit.id
            self._desk.store.apply(lambda session: declick(session, number), tr("Declick kit"))

    def set_slices(self, label: str, **values: object) -> None:
        """Of the slices that the chosen steps play."""
        kit, pieces = self.kit, self.chosen_pieces
        if kit is None or not pieces:
            self._desk.say(tr("Select a step of the slice first"))
            return
        number = kit.id
        self._desk.store.apply(lambda session: set_slice(session, number, pieces, **values), label)

    def put_slice_on(self, key: int) -> None:
        """The slice of the step chosen last, on another key; what is there goes to where it was."""
        kit, piece = self.kit, self.last_piece
        if kit is None or piece is None:
            return
        label = tr("Assign slice to key {0}", key_name(key))
        self._desk.store.apply(lambda session: set_slice(session, kit.id, {piece}, key=key), label)

    def reverse(self) -> None:
        """The slices of the chosen steps, from their ends to their starts; again, as they were."""
        kit, pieces = self.kit, self.chosen_pieces
        known = [] if kit is None else [each for each in kit.slices if each.id in pieces]
        is_on = not all(each.is_reversed for each in known)
        self.set_slices(tr("Reverse slices") if is_on else tr("Play slices forwards"), is_reversed=is_on)

    @property
    def chosen_pieces(self) -> set[int]:
        """The slices that the chosen steps play."""
        pattern = self._desk.pattern
        if pattern is None:
            return set()
        return {pattern.slices[at] for at in pattern.at(self._desk.view.chosen.steps)}

    @property
    def last_piece(self) -> int | None:
        """The slice of the step that was chosen last."""
        pattern, steps = self._desk.pattern, self._desk.view.chosen.steps
        at = [] if pattern is None else pattern.at(steps[-1:])
        return None if pattern is None or not at else pattern.slices[at[0]]

    def hear_slice(self, kit: Kit, number: int) -> None:
        """A slice by itself, at once."""
        piece = kit.slice_of(number)
        source = None if piece is None else self._desk.recordings.pool.get(piece.recording)
        if piece is None or source is None:
            return
        ratio = self._desk.session.rate / self._desk.session.recording_with(piece.recording).rate
        start, end = round(piece.start * ratio), round(piece.end * ratio)
        self._desk.transport.hear(source.region, start, end, gain_of(piece.loudness))

    def hear_chosen(self) -> None:
        kit, piece = self.kit, self.last_piece
        if kit is not None and piece is not None:
            self.hear_slice(kit, piece)
