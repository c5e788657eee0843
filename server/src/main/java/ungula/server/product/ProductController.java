package ungula.server.product;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductTable;
import ungula.core.rubber.ProductWords;
import ungula.core.rubber.Substitutes;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.table.Csv;
import ungula.core.working.KeyedBy;
import ungula.server.web.Json;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Sheets of materials: the shipped examples, and the user's own. */
@RestController
@RequestMapping("/api/products")
class ProductController {

  private static final WordBook<Product> WORDS = ProductWords.book();

  private static final int MOST_SUBSTITUTES = 3;

  private final ProductMapper mapper;
  private final Products products;
  private final Habits workshop;
  private final Json json;

  ProductController(ProductMapper mapper, Products products, Habits workshop, Json json) {
    this.mapper = mapper;
    this.products = products;
    this.workshop = workshop;
    this.json = json;
  }

  /**
   * @param role what it is for
   * @param parts what its two parts are called; empty when it comes ready
   * @param kit whether a pack holds both parts
   * @param pack the smallest it is sold in, in words; empty when the sheet names none
   * @param cast whether casts are made of it
   * @param summary hardness, chemistry and density in one line
   * @param sentence the ratio as a plain sentence; empty while there is none
   * @param gaps what the sheet leaves out, and what cannot be checked for it
   * @param contradiction whether its two ratios disagree
   * @param substitutes nearest first
   */
  record ProductResponse(
      String id,
      int version,
      boolean shipped,
      boolean retired,
      String name,
      Product.Role role,
      List<String> parts,
      boolean kit,
      String pack,
      boolean cast,
      String summary,
      String sentence,
      List<String> gaps,
      boolean contradiction,
      List<SubstituteView> substitutes,
      @KeyedBy("ProductWord") Map<String, Word.State> words) {}

  /**
   * @param text how it differs, in words
   */
  record SubstituteView(String product, String name, String text) {}

  /**
   * @param copyOf id of the sheet to start from; null for an empty one
   */
  record NewProduct(@Nullable String name, @Nullable String copyOf) {}

  /**
   * @param version the edits were made on
   */
  record ProductEdits(int version, List<WordBook.Edit> edits) {}

  @GetMapping
  List<ProductResponse> products() {
    Units units = workshop.current().units();
    List<ProductMapper.Row> rows = mapper.all();
    Map<String, Product> all = inUse(rows);
    return rows.stream().map(row -> response(row, all, units)).toList();
  }

  @PostMapping
  @Transactional
  public ProductResponse addProduct(@RequestBody NewProduct body) {
    String name = body.name() == null ? "" : body.name().strip();
    Product sheet = ProductWords.blank(name.isEmpty() ? "New product" : name);
    if (body.copyOf() != null) {
      Product from = products.sheet(row(body.copyOf()));
      String copied = name.isEmpty() ? from.name() + ", copy" : name;
      sheet =
          WORDS.edit(from, List.of(WordBook.Edit.of("name", copied)), workshop.current().units());
    }
    String id = UUID.randomUUID().toString();
    mapper.add(new ProductMapper.Row(id, 1, false, false, json.write(sheet)));
    return response(row(id), workshop.current().units());
  }

  @PostMapping("/{id}/edits")
  @Transactional
  public ProductResponse editProduct(@PathVariable String id, @RequestBody ProductEdits body) {
    ProductMapper.Row row = row(id);
    if (row.shipped()) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "An example",
          "This sheet ships with Ungula and stays as it is. Copy it, and change the copy.");
    }
    if (row.version() != body.version()) {
      throw Problem.conflict("This sheet");
    }
    Units units = workshop.current().units();
    Product changed = WORDS.edit(products.sheet(row), body.edits(), units);
    if (mapper.save(id, body.version(), json.write(changed)) == 0) {
      throw Problem.conflict("This sheet");
    }
    return response(row(id), units);
  }

  @PostMapping("/{id}/retired")
  @Transactional
  public ProductResponse retireProduct(@PathVariable String id, @RequestParam boolean retired) {
    if (mapper.retire(id, retired) == 0) {
      throw Problem.gone("This product");
    }
    return response(row(id), workshop.current().units());
  }

  /**
   * @param added how many sheets are new
   * @param changed how many of the user's own were of the same name, and are as in the file now
   * @param same how many were there already, just as in the file
   */
  record Imported(int added, int changed, int same) {}

  /**
   * Sheets from a table: CSV with a head line, or a JSON list of objects; their names are the words
   * of a sheet. All of them, or none when one is not understood.
   */
  @PostMapping("/imported")
  @Transactional
  public Imported importProducts(@RequestBody ProductFile file) {
    List<Map<String, String>> rows;
    String text = file.text() == null ? "" : file.text();
    try {
      rows = text.strip().startsWith("[") ? json.readRows(text) : Csv.read(text);
      if (rows.isEmpty()) {
        throw new UnreadableQuantity("There is no product in it.");
      }
      Map<Taken, Integer> taken = new EnumMap<>(Taken.class);
      for (int i = 0; i < rows.size(); i++) {
        taken.merge(take(ProductTable.product(rows.get(i), i + 1)), 1, Integer::sum);
      }
      return new Imported(
          taken.getOrDefault(Taken.ADDED, 0),
          taken.getOrDefault(Taken.CHANGED, 0),
          taken.getOrDefault(Taken.SAME, 0));
    } catch (UnreadableQuantity e) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Not read",
          e.getMessage() + " Nothing was taken in: mend it in the file, and drop it again.");
    }
  }

  /**
   * @param text of the whole file
   */
  record ProductFile(String text) {}

  private enum Taken {
    ADDED,
    CHANGED,
    SAME
  }

  /** One sheet of a table: new, in the place of the user's own of that name, or there already. */
  private Taken take(Product product) {
    List<ProductMapper.Row> named =
        mapper.all().stream()
            .filter(row -> products.sheet(row).name().equalsIgnoreCase(product.name()))
            .toList();
    Map<String, String> table = ProductTable.row(product);
    if (named.stream().anyMatch(row -> ProductTable.row(products.sheet(row)).equals(table))) {
      return Taken.SAME;
    }
    for (ProductMapper.Row row : named) {
      if (!row.shipped()) {
        if (mapper.save(row.id(), row.version(), json.write(product)) == 0) {
          throw Problem.conflict("The sheet of " + product.name());
        }
        return Taken.CHANGED;
      }
    }
    String id = UUID.randomUUID().toString();
    mapper.add(new ProductMapper.Row(id, 1, false, false, json.write(product)));
    return Taken.ADDED;
  }

  /** All sheets in use, as they can be imported again. */
  @GetMapping(value = "/table.csv", produces = "text/csv")
  ResponseEntity<String> productsCsv() {
    return Named.attachment("products.csv").body(Csv.write(rows()));
  }

  @GetMapping(value = "/table.json", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> productsJson() {
    return Named.attachment("products.json").body(json.write(rows()));
  }

  private List<Map<String, String>> rows() {
    return mapper.all().stream()
        .filter(row -> !row.retired())
        .map(row -> ProductTable.row(products.sheet(row)))
        .toList();
  }

  private ProductMapper.Row row(String id) {
    ProductMapper.Row row = mapper.find(id);
    if (row == null) {
      throw Problem.gone("This product");
    }
    return row;
  }

  /** Sheets that could be taken instead of another, by id. */
  private Map<String, Product> inUse(List<ProductMapper.Row> rows) {
    Map<String, Product> all = new LinkedHashMap<>();
    rows.stream()
        .filter(row -> !row.retired())
        .forEach(row -> all.put(row.id(), products.sheet(row)));
    return all;
  }

  private static List<SubstituteView> substitutes(Product p, Map<String, Product> all) {
    return Substitutes.of(p, all).stream()
        .limit(MOST_SUBSTITUTES)
        .map(
            s ->
                new SubstituteView(
                    s.product(),
                    all.get(s.product()).name(),
                    s.differences().isEmpty()
                        ? "alike by their sheets"
                        : String.join(", ", s.differences())))
        .toList();
  }

  private ProductResponse response(ProductMapper.Row row, Units units) {
    return response(row, inUse(mapper.all()), units);
  }

  private ProductResponse response(ProductMapper.Row row, Map<String, Product> all, Units units) {
    Product p = products.sheet(row);
    return new ProductResponse(
        row.id(),
        row.version(),
        row.shipped(),
        row.retired(),
        p.name(),
        p.role(),
        p.role().mixed() ? List.of(p.role().first(), p.role().second()) : List.of(),
        p.soldHardenerPerBase() > 0,
        p.packs().isEmpty() ? "" : p.packs().get(0).text(units),
        p.role().cast(),
        p.summary(),
        p.ratio() == null ? "" : p.sentence(p.ratio()),
        p.gaps(),
        p.contradictsItself(),
        substitutes(p, all),
        WORDS.states(p, units));
  }
}
