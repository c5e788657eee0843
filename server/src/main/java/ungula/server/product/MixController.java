package ungula.server.product;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.pour.MixNow;
import ungula.core.workshop.Workshop;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** A bare mass or volume in its parts, without a job. */
@RestController
@RequestMapping("/api/mix")
class MixController {

  private final Products products;
  private final Habits workshop;

  MixController(Products products, Habits workshop) {
    this.products = products;
    this.workshop = workshop;
  }

  /**
   * @param amount a mass or a volume, as typed
   * @param ratio other than the sheet's, as typed
   * @param meant whether that is meant however far off the sheet it is
   * @param secondFirst whether the second part goes into the cup first
   * @param poured of the part that goes in first, as typed; left out before it is
   */
  @GetMapping
  MixNow mix(
      @RequestParam String product,
      @RequestParam String amount,
      @RequestParam(required = false) String ratio,
      @RequestParam(defaultValue = "false") boolean meant,
      @RequestParam(defaultValue = "false") boolean secondFirst,
      @RequestParam(required = false) String poured) {
    Workshop shop = workshop.current();
    return MixNow.of(
        new MixNow.Asked(amount, ratio, meant, secondFirst, poured),
        products.find(product).orElseThrow(() -> Problem.gone("This product")),
        shop.roomC(),
        shop.units(),
        shop.currency());
  }
}
